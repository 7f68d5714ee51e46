import { behindWords, coloursOf, contrastIn, leastContrast } from '../../look/textColour.js';
import { colourOf } from '../../look/named.js';
import { contrastNeed, LEAST_CONTRAST } from './contrastNeed.js';
import { shownParts } from '../../document/card.js';
import { hasWords } from './needs.js';
import { whileSame } from '../../memo.js';
import { levelsOf } from './wordFindings.js';
import type { Checked, Found } from './checked.js';
import type { PictureAsset, Tile } from '../../document/types.js';

/** What does not depend on the width: contrast, and pictures without alternative text. */
export function* alwaysFindings(checked: Checked): Generator<Found> {
  const { looks, stretch } = checked;
  const ranges = [{ from: stretch.from, to: stretch.to }];
  const levels = levelsOf(checked);
  for (const { id } of stretch.first.tiles) {
    const tile = looks.tiles[id] as Tile;
    const level = levels.get(id) ?? null;
    const common = { level, tiles: [id], ranges, worst: stretch.from };
    const { has, need } = faintest(looks, tile);
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

const remembered = whileSame<Tile, Faintest>();

/** Of a tile's words and its badges, those that are farthest from the contrast that they need. */
export const faintest = (known: Checked['looks'], tile: Tile): Faintest => {
  const { pictures, namedLooks, look } = known;
  return remembered(tile, [pictures, namedLooks, look, ...behindWords(known, tile)], () => {
    const badges = (tile.badges ?? []).map(({ fill, textColour }) => ({
      has: leastContrast(colourOf(namedLooks, textColour), coloursOf(known, { fill })),
      need: LEAST_CONTRAST,
    }));
    const words = hasWords(tile) ? [{ has: contrastIn(known, tile), need: contrastNeed(known, tile) }] : [];
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
