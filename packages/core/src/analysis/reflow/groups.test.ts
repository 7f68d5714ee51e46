import { describe, expect, test } from '@jest/globals';
import { applyDesign } from '../design/applyDesign.js';
import { checkFit } from '../fit/checkFit.js';
import { change } from '../../edit/patch/change.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { followWider } from './followWider.js';
import { levelOf } from '../../document/levels.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { layoutCollection, levelLayout } from '../../layout/layout.js';
import { readDesign } from '../design/readDesign.js';
import { resolvedBandAt } from '../../arrangements/bands.js';
import { withHeld } from '../../testing/held.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const measurer = LETTERS;

/** A month of seven columns beside a card, in a group of a collection whose bands are derived. */
function withMonth(): { document: CollectionDocument; outer: string; month: string } {
  let k = 0;
  const freshId = () => `n${k++}`;
  const words = '7 × 2: 7×1, 1×1, 6×1 group (4 × 1: 1×1, 3×1 group (31 × 1 of 7, gap 4)), gap 28, padding 28';
  const design = applyDesign({ design: readDesign(words), band: 0, setFor: 'band', freshId, what: 'text' });
  const made = change(emptyDocument('Month'), design).document;
  const groups = Object.values(made.tiles).filter(({ kind }) => kind === 'group');
  const idOf = (tiles: number) =>
    groups.find((tile) => tile.kind === 'group' && tile.order.length === tiles)?.id;
  const [outer, month] = [idOf(2) ?? '', idOf(31) ?? ''];
  const days = levelOf(made, month).order.map((id, day): [string, Tile] => [
    id,
    withHeld(made.tiles[id], { heading: `${day + 1}` }),
  ]);
  const document = { ...made, tiles: { ...made.tiles, ...Object.fromEntries(days) } };
  return { document: followWider(document, measurer, () => `b${++k}`), outer, month };
}

describe('groups in derived bands', () => {
  const { document, outer, month } = withMonth();

  test('take as many rows as what is in them is high', () => {
    const { findings } = checkFit(document, { measurer, from: 320, to: 1280 });
    expect(findings.filter(({ kind }) => kind === 'clipped' || kind === 'overflow')).toEqual([]);
    for (const width of [320, 480, 620, 834, 1280]) {
      const laid = layoutCollection(document, width, { measurer });
      const inner = levelLayout(laid, outer)?.layout;
      const last = inner?.tiles.at(-1);
      const bottom = laid.tiles.find(({ id }) => id === outer)?.blockSize ?? 0;
      expect((last?.y ?? Infinity) + (last?.blockSize ?? 0)).toBeLessThanOrEqual(bottom + 0.5);
    }
  });

  test('keep their columns as far down as these are legible', () => {
    const columns = (width: number) => resolvedBandAt(levelOf(document, month), width).columns.length;
    expect(columns(1280)).toBe(7);
    // Before what it stands beside goes below, half of them are enough.
    for (const width of [834, 620, 480, 400]) expect(columns(width)).toBeGreaterThanOrEqual(4);
    expect(columns(320)).toBeGreaterThanOrEqual(3);
  });
});
