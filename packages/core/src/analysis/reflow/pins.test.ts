import { describe, expect, test } from '@jest/globals';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { cellsOf } from '../../arrangements/cells.js';
import { lostPin, placeIn } from '../../document/bands.js';
import { levelOf } from '../../document/levels.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { onLevel } from '../../edit/commands/level.js';
import { inheritPlace, setLayer, setPin } from '../../edit/commands/place.js';
import { change, type Command } from '../../edit/patch/change.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { areasMeet } from '../../geometry/relations.js';
import { applyPatch } from '../../edit/patch/applyPatch.js';
import { checkFit } from '../fit/checkFit.js';
import { fixesFor } from '../fit/fixes.js';
import { followWider } from './followWider.js';
import { stackBand } from './stack.js';
import type { CollectionDocument, Tile } from '../../document/types.js';
import type { GridArea } from '../../geometry/area.js';

const measurer = LETTERS;
const run = (document: CollectionDocument, ...commands: Command[]) =>
  commands.reduce((one, command) => change(one, command).document, document);
const pinIn = (document: CollectionDocument, id: string, band: number) =>
  placeIn(document, document.tiles[id] as Tile, band).pin;
const cellIn = (document: CollectionDocument, id: string, band: number) =>
  cellsOf(document, resolvedBandOf(document, band))[document.order.indexOf(id)] as GridArea;

const band = (below: number, columns?: number) => ({
  id: `below-${below}`,
  below,
  arrangement: columns === undefined ? {} : { columns: Array.from({ length: columns }, () => '1fr') },
  tiles: {},
});
/** Six tiles in four columns, the second pinned at the third. */
const four: CollectionDocument = {
  ...sample(
    [
      [1, 1],
      [2, 1, 3, 1],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
    ],
    4,
  ),
  bands: [band(900), band(700, 3), band(400, 2)],
};

describe('a pin in narrower bands', () => {
  test('holds where its column is there, with the columns that are left', () => {
    expect([0, 1, 2, 3].map((k) => pinIn(four, 't2', k)?.column)).toEqual([3, 3, 3, undefined]);
    expect(cellIn(four, 't2', 2)).toEqual({ column: 3, row: 1, columnSpan: 1, rowSpan: 1 });
    expect([1, 2, 3].map((k) => lostPin(four, four.tiles.t2 as Tile, k)?.column)).toEqual([
      undefined,
      undefined,
      3,
    ]);
  });

  test('is let go of in one band, and inherited again', () => {
    const free = run(four, setPin(['t2'], 1, null));
    expect([0, 1, 2].map((k) => pinIn(free, 't2', k)?.column)).toEqual([3, undefined, undefined]);
    expect(lostPin(free, free.tiles.t2 as Tile, 1)).toBeNull();
    expect(pinIn(run(free, inheritPlace('t2', 1, ['pin'])), 't2', 1)?.column).toBe(3);
    expect(run(four, setPin(['t1'], 1, null)).bands).toEqual(four.bands);
  });

  test('holds in a group, whatever columns the collection has', () => {
    const grouped = run(four, groupTiles(['t1', 't2'], 'g', 0));
    const made = run(
      grouped,
      onLevel('g', setArrangement({ columns: ['1fr'] }, 0, 'band')),
      onLevel('g', setPin(['t1', 't2'], 0, { column: 1, row: 1 })),
      onLevel('g', setLayer(['t2'], 1, 0, 'all')),
    );
    const inside = levelOf(made, 'g');
    for (const k of [0, 1, 2, 3]) expect(cellIn(inside, 't2', k)).toEqual(cellIn(inside, 't1', k));
  });

  test('that is lost is found, and held where the tile lies or said to flow', () => {
    const report = checkFit(four, { measurer });
    const found = report.findings.filter(({ kind }) => kind === 'pin lost');
    expect(found.map(({ tiles, reason, severity }) => [tiles, reason, severity])).toEqual([
      [['t2'], 'Its pin is at column 3; here are two columns. It flows.', 'better'],
    ]);
    const fixes = fixesFor(four, report, found[0] as (typeof found)[number], { measurer });
    expect(fixes.map(({ does, safe }) => [does, safe])).toEqual([
      ['Pin it where it lies', false],
      ['Let it flow here', false],
    ]);
    for (const { patch } of fixes) {
      const after = checkFit(applyPatch(four, patch), { measurer });
      expect(after.findings.map(({ kind }) => kind)).not.toContain('pin lost');
    }
  });
});

describe('a pin in derived bands', () => {
  const followed = (document: CollectionDocument) => {
    let k = 0;
    const derived: CollectionDocument = { ...document, bands: [], narrowerBands: 'derived' };
    return followWider(derived, measurer, () => `b${++k}`);
  };

  test('lets go where tiles would be seen out of order', () => {
    const last = run(four, setPin(['t2'], 0, null), setPin(['t6'], 0, { column: 1, row: 1 }));
    const made = followed({ ...last, bands: [] });
    expect(made.bands.length).toBeGreaterThan(0);
    made.bands.forEach((_, k) => {
      expect(pinIn(made, 't6', k + 1)).toBeNull();
      expect(lostPin(made, made.tiles.t6 as Tile, k + 1)).toEqual({ column: 1, row: 1 });
    });
  });

  test('keeps what lies over another tile over it, also in one column', () => {
    const over = run(
      {
        ...sample(
          [
            [3, 2, 2, 1],
            [1, 1, 3, 2],
            [1, 1],
            [1, 1],
            [2, 1],
          ],
          4,
        ),
        bands: [],
      },
      setLayer(['t2'], 1, 0, 'all'),
    );
    const made = followed(over);
    expect(made.bands.length).toBeGreaterThan(0);
    for (let k = 0; k <= made.bands.length; k++)
      expect(areasMeet(cellIn(made, 't1', k), cellIn(made, 't2', k))).toBe(true);
    const stacked: CollectionDocument = { ...over, bands: [band(600)] };
    const one = run(stacked, stackBand(stacked, 1, measurer));
    expect(areasMeet(cellIn(one, 't1', 1), cellIn(one, 't2', 1))).toBe(true);
    expect(cellIn(one, 't3', 1).row).toBe(cellIn(one, 't1', 1).row + cellIn(one, 't1', 1).rowSpan);
  });
});
