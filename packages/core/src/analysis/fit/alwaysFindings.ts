import { contrastsAt } from '../contrast/contrastAt.js';
import { behindWords, coloursOf, contrastIn, isOneColour, leastContrast } from '../../look/textColour.js';
import { colourOf } from '../../look/named.js';
import { contrastNeed, LEAST_CONTRAST } from './contrastNeed.js';
import { shownParts } from '../../document/card.js';
import { hasWords } from './needs.js';
import { whileSame } from '../../memo.js';
import { levelsOf } from './wordFindings.js';
import type { Checked, Found } from './checked.js';
import type { PictureAsset, Tile, TileId } from '../../document/types.js';

/** What hardly depends on the width: contrast, and pictures without alternative text. */
export function* alwaysFindings(checked: Checked): Generator<Found> {
  const { looks, stretch } = checked;
  const ranges = [{ from: stretch.from, to: stretch.to }];
  const levels = levelsOf(checked);
  const where = contrastsWhere(checked);
  for (const { id } of stretch.first.tiles) {
    const tile = looks.tiles[id] as Tile;
    const level = levels.get(id) ?? null;
    const common = { level, tiles: [id], ranges, worst: stretch.from };
    const { has, need } = faintest(looks, tile, where.get(id));
    if (has < need) yield { ...common, kind: 'faint', badness: 0.5 + need - has, said: { has, need } };
    if (lacksWords(looks.pictures, tile))
      yield { ...common, kind: 'no alternative text', badness: 1, said: {} };
  }
}

interface Faintest {
  /** Contrast, 1 to 21. */
  readonly has: number;
  readonly need: number;
}

/** To so many px places of words are rounded, so that most widths need no look of their own. */
const RASTER = 32;

/** The contrast of words where they stand, at both ends of a stretch; not of those on one opaque colour. */
function contrastsWhere({ looks, stretch, measurer, details }: Checked): ReadonlyMap<TileId, number> {
  const { band, from, to, first, last } = stretch;
  const ids = first.tiles.map(({ id }) => id).filter((id) => !isOneColour((looks.tiles[id] as Tile).look));
  if (ids.length === 0) return new Map();
  const options = { ids: new Set(ids), raster: RASTER, details, enough: LEAST_CONTRAST, measurer };
  const [low, high] = [
    contrastsAt(looks, first.layout, from, band, options),
    contrastsAt(looks, last.layout, to, band, options),
  ];
  return new Map([...low].map(([id, ratio]) => [id, Math.min(ratio, high.get(id) ?? ratio)]));
}

const remembered = whileSame<Tile, Faintest>();

/**
 * Of a tile's words and its badges, those that are farthest from the contrast that they need.
 * @param where the contrast of the words where they stand; left out: where they may stand
 */
export const faintest = (known: Checked['looks'], tile: Tile, where?: number): Faintest => {
  const { pictures, namedLooks, look } = known;
  return remembered(tile, [pictures, namedLooks, look, where, ...behindWords(known, tile)], () => {
    const badges = (tile.badges ?? []).map(({ fill, textColour }) => ({
      has: leastContrast(colourOf(namedLooks, textColour), coloursOf(known, { fill })),
      need: LEAST_CONTRAST,
    }));
    const words = hasWords(tile)
      ? [{ has: where ?? contrastIn(known, tile), need: contrastNeed(known, tile) }]
      : [];
    const nothing: Faintest = { has: 21, need: LEAST_CONTRAST };
    return [...words, ...badges].reduce(
      (one, other) => (other.has / other.need < one.has / one.need ? other : one),
      nothing,
    );
  });
};

/** A picture that nobody described; one behind words is decoration. */
function lacksWords(pictures: Readonly<Record<string, PictureAsset>>, tile: Tile): boolean {
  return shownParts(tile).some(
    (part) => 'picture' in part && pictures[part.picture ?? '']?.alternativeText.trim() === '',
  );
}
