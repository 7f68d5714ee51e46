import { behindWords, coloursOf, contrastIn, leastContrast } from '../../look/textColour.js';
import { colourOf } from '../../look/named.js';
import { shownParts } from '../../document/card.js';
import { hasWords } from './needs.js';
import { whileSame } from '../../memo.js';
import { levelsOf } from './wordFindings.js';
import type { Checked, Found } from './checked.js';
import type { PictureAsset, Tile } from '../../document/types.js';

/** The least contrast of words to what is behind them (WCAG 2.2, 1.4.3). */
export const LEAST_CONTRAST = 4.5;

/** What does not depend on the width: contrast, and pictures without alternative text. */
export function* alwaysFindings(checked: Checked): Generator<Found> {
  const { looks, stretch } = checked;
  const ranges = [{ from: stretch.from, to: stretch.to }];
  const levels = levelsOf(checked);
  for (const { id } of stretch.first.tiles) {
    const tile = looks.tiles[id] as Tile;
    const level = levels.get(id) ?? null;
    const common = { level, tiles: [id], ranges, worst: stretch.from };
    const least = leastIn(looks, tile);
    if (least < LEAST_CONTRAST)
      yield { ...common, kind: 'faint', badness: 5 - least, said: { has: least, need: LEAST_CONTRAST } };
    if (lacksWords(looks.pictures, tile))
      yield { ...common, kind: 'no alternative text', badness: 1, said: {} };
  }
}

const remembered = whileSame<Tile, number>();

const leastIn = (known: Checked['looks'], tile: Tile): number => {
  const { pictures, namedLooks } = known;
  return remembered(tile, [pictures, namedLooks, ...behindWords(known, tile)], () => {
    const badges = (tile.badges ?? []).map(({ fill, textColour }) =>
      leastContrast(colourOf(namedLooks, textColour), coloursOf(known, { fill })),
    );
    return Math.min(21, hasWords(tile) ? contrastIn(known, tile) : 21, ...badges);
  });
};

/** A picture that nobody described; one behind words is decoration. */
function lacksWords(pictures: Readonly<Record<string, PictureAsset>>, tile: Tile): boolean {
  return shownParts(tile).some(
    (part) => 'picture' in part && pictures[part.picture ?? '']?.alternativeText.trim() === '',
  );
}
