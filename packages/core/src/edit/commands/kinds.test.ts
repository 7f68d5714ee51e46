import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ANY_MASONRY, masonryOf } from '../../arrangements/masonry/values.js';
import { bandAt, placeIn } from '../../document/bands.js';
import { change } from '../patch/change.js';
import { evenLanes, inKind, setBreakBefore, setEqualCells, setKind, setOfKind, setSlots } from './kinds.js';
import { laneImbalance } from '../../engine/lanes/placeLanes.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { setHidden } from './place.js';
import { setHereIn } from './inherit.js';
import { samplePictures } from '../../testing/sample.js';
import type { CollectionDocument, Tile } from '../../document/types.js';
import type { Command } from '../patch/change.js';

const layOut = (document: CollectionDocument, width: number) =>
  layoutCollection(document, width, { measurer: LETTERS });
const after = (document: CollectionDocument, ...commands: Command[]) =>
  commands.reduce((made, command) => change(made, command).document, document);
const tileOf = (document: CollectionDocument, id: string) => document.tiles[id] as Tile;

const masonry = (aspects: readonly number[], count = 3) =>
  samplePictures(aspects, { kind: 'masonry', columnGap: 8, rowGap: 8, masonry: { ...ANY_MASONRY, count } });

/** How uneven the lanes of a layout end, told by its boxes. */
function uneven(document: CollectionDocument, width: number): number {
  const { tiles, columns } = layOut(document, width);
  const top = Math.min(...tiles.map(({ y }) => y));
  const ends = columns.map(({ start, size }) =>
    Math.max(
      0,
      ...tiles.filter(({ x }) => x >= start - 1 && x < start + size).map((t) => t.y + t.blockSize - top),
    ),
  );
  return laneImbalance(Float64Array.from(ends));
}

describe('evening the ends of lanes', () => {
  const aspects = fc.array(fc.constantFrom(0.5, 0.7, 1, 1.4, 2), { minLength: 4, maxLength: 30 });

  test('never makes them less even, moves no tile further than asked, and says what comes of it', () => {
    fc.assert(
      fc.property(aspects, fc.integer({ min: 0, max: 5 }), (all, distance) => {
        const document = masonry(all);
        const {
          command,
          before,
          after: says,
        } = evenLanes(document, bandAt(document, 900), layOut(document, 900), distance);
        const evened = after(document, command);
        expect(uneven(document, 900)).toBeCloseTo(before, 6);
        expect(uneven(evened, 900)).toBeCloseTo(says, 6);
        expect(says).toBeLessThanOrEqual(before + 1e-9);
        evened.order.forEach((id, k) =>
          expect(Math.abs(k - document.order.indexOf(id))).toBeLessThanOrEqual(distance),
        );
        expect(evened.order.toSorted()).toEqual(document.order.toSorted());
      }),
      { numRuns: 60 },
    );
  });

  test('tiles that are hidden keep their place in reading order', () => {
    const document = after(masonry([0.5, 2, 2, 2, 0.5, 1, 2, 0.5]), setHidden(['p3', 'p6'], true, 0, 'all'));
    const { command } = evenLanes(document, bandAt(document, 900), layOut(document, 900), 4);
    const { order } = after(document, command);
    expect([order[2], order[5]]).toEqual(['p3', 'p6']);
  });

  test('lanes that tiles run along are evened by their widths', () => {
    const along = after(
      masonry([2, 2, 0.5, 0.5, 1, 2.5], 2),
      setOfKind('masonry', { direction: 'inline' }, 0, 'all'),
    );
    const { before, after: says } = evenLanes(along, bandAt(along, 900), layOut(along, 900), 5);
    expect(says).toBeLessThanOrEqual(before);
  });
});

describe('values of a kind', () => {
  const start: CollectionDocument = {
    ...masonry([1, 1, 1, 1]),
    bands: [{ id: 'b', below: 600, arrangement: {}, tiles: {} }],
  };

  test('one is set, the others stay as the band has them; set for all, bands lose their own', () => {
    const narrow = after(start, setOfKind('masonry', { count: 2 }, 1, 'band'));
    expect(masonryOf(bandAt(narrow, 500).arrangement)).toMatchObject({ count: 2, order: 'balanced' });
    expect(masonryOf(bandAt(narrow, 700).arrangement).count).toBe(3);
    const all = after(narrow, setOfKind('masonry', { order: 'in-turn' }, 0, 'all'));
    expect(masonryOf(bandAt(all, 500).arrangement)).toMatchObject({ count: 3, order: 'in-turn' });
  });

  test('a break is inherited to narrower bands, a lock is not', () => {
    const document = after(
      start,
      setBreakBefore(['p2'], true, 0, 'all'),
      setSlots({ p2: { column: 1, row: 1, columnSpan: 2, rowSpan: 1 } }, 0),
    );
    expect(placeIn(document, tileOf(document, 'p2'), 1)).toMatchObject({ breakBefore: true, slot: null });
    const locked = after(document, setSlots({ p2: { column: 1, row: 2, columnSpan: 1, rowSpan: 1 } }, 1));
    expect(setHereIn(locked, 1).map(({ field }) => field)).toEqual(['slot']);
    expect(after(locked, setSlots({ p2: null }, 1)).bands).toEqual(document.bands);
  });

  test('equal cells: square, no gap, one large on top, what was pinned is free', () => {
    const document = after(
      samplePictures([1, 1, 1, 1, 1, 1, 1]),
      setEqualCells({ columns: 3, gap: 0, hero: 2 }, 0, 'all'),
    );
    const [hero, ...rest] = layOut(document, 900).tiles;
    expect(hero?.inlineSize).toBeCloseTo(
      rest.reduce((sum, { y, inlineSize }) => sum + (y === rest[0]?.y ? inlineSize : 0), 0),
      0,
    );
    expect(hero?.blockSize).toBeCloseTo((2 * (hero?.inlineSize ?? 0)) / 3, 0);
    for (const { inlineSize, blockSize } of rest) expect(blockSize).toBeCloseTo(inlineSize, 0);
    expect(layOut(document, 900).coverage.holes).toEqual([]);
  });

  test('a level in another kind is as it would be there, and the collection stays as it is', () => {
    const document = after(start, setKind('rows', 1, 'band'));
    for (const kind of ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'] as const) {
      const shown = inKind(document, 1, kind);
      const set = after(document, setKind(kind, 1, 'band'));
      expect(layOut(shown, 500)).toEqual(layOut(set, 500));
    }
    expect(document.arrangement.kind).toBe('masonry');
  });
});
