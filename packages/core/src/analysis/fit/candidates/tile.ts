import { levelOf } from '../../../document/levels.js';
import { bandLookIn, documentIn } from '../../../document/bandLooks.js';
import { measureOf, typeSizeOf } from '../../../look/named.js';
import { inheritPlace, setLayer, setOrder, setPin } from '../../../edit/commands/place.js';
import { setBandLook } from '../../../edit/commands/bandLooks.js';
import { moveInOrder, setAlternativeText, setPart } from '../../../edit/commands/tiles.js';
import { shownParts, pictureOf } from '../../../document/card.js';
import { partKindOf } from '../../../parts/index.js';
import { tileName } from '../../../parts/said.js';
import { onLevel } from '../../../edit/commands/level.js';
import { setNeverBelow } from '../../../edit/commands/needs.js';
import { tame, taste, type Candidate } from '../candidate.js';
import type { CollectionDocument, Tile } from '../../../document/types.js';
import type { Finding } from '../types.js';
import type { Case } from './case.js';

/** Smaller words, or less that is asked for by hand. */
export function* lessNeed({ finding: { kind }, document, tile, id, index }: Case): Generator<Candidate> {
  if ((kind === 'clipped' || kind === 'squashed') && tile) yield smallerType(document, tile, index);
  if (kind === 'squashed' && tile?.minimumWidth !== undefined)
    yield taste('As narrow as its words allow', setNeverBelow([id], null));
}

/** Two tiles that lie over each other, or are seen in another order than they are read. */
export function* apart({ finding, document, place, id, index, at }: Case): Generator<Candidate> {
  const { kind, tiles } = finding;
  if (kind === 'overlap') {
    const other = tiles[1] ?? '';
    if (document.tiles[other]) yield tame('Let the other flow', at(setPin([other], index, null)));
    yield taste('Lift it by a layer', at(setLayer([other], (place?.layer ?? 0) + 1, index, 'band')));
  }
  if (kind === 'out of order' && place) {
    yield tame(
      'Back to reading order',
      at((draft) => tiles.forEach((each) => setOrder([each], 0, index, 'band')(draft))),
    );
    if (index > 0) yield tame('Inherit its place', at(inheritPlace(id, index, ['order', 'pin', 'area'])));
  }
}

/** A seventh smaller in this band. */
const SMALLER = 0.86;

function smallerType(document: CollectionDocument, tile: Tile, band: number): Candidate {
  const looks = documentIn(document, band);
  const { look, namedLooks } = looks;
  const own = looks.tiles[tile.id]?.look ?? tile.look;
  const px = (size: typeof look.headingSize) => {
    const found = typeSizeOf(namedLooks, size);
    return typeof found === 'object' ? Math.min(found.from, found.to) : measureOf(namedLooks, found);
  };
  const times = shownParts(tile).find((part) => partKindOf(part).headingTimes !== undefined);
  const large = times && own.headingSize === undefined ? (partKindOf(times).headingTimes ?? 1) : 1;
  const sizes = {
    ...bandLookIn(document, tile.id, band),
    headingSize: Math.round(px(own.headingSize ?? look.headingSize) * large * SMALLER * 10) / 10,
    ...(!times && {
      bodySize: Math.max(12, Math.round(px(own.bodySize ?? look.bodySize) * SMALLER * 10) / 10),
    }),
  };
  return taste('Smaller type', setBandLook([tile.id], sizes, band));
}

/** What does not depend on a band. */
export function* anywhere(
  document: CollectionDocument,
  { kind, tiles, level }: Finding,
): Generator<Candidate> {
  const [id = ''] = tiles;
  const tile = document.tiles[id];
  if (!tile) return;
  if (kind === 'out of order') {
    const { order } = levelOf(document, level);
    const position = order.indexOf(tiles[1] ?? '');
    if (position !== -1) yield taste('Read it in this order', onLevel(level, moveInOrder([id], position)));
  }
  const picture = pictureOf(tile);
  if (kind === 'focus lost' && picture)
    yield tame('Around the focal point', setPart([id], picture.id, { position: undefined }));
  if (kind === 'over-cropped' && picture)
    yield taste('Show it whole', setPart([id], picture.id, { fit: 'contain' }));
  const undescribed = shownParts(tile).find(
    (part) => 'picture' in part && document.pictures[part.picture ?? '']?.alternativeText.trim() === '',
  );
  if (kind === 'no alternative text' && undescribed && 'picture' in undescribed) {
    const words = undescribed.caption.trim() || tileName(tile, document);
    yield taste(`Say “${words}”`, setAlternativeText(undescribed.picture ?? '', words));
  }
}
