import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { areasMeet } from '../geometry/relations.js';
import { change } from '../edit/patch/change.js';
import { bandAt } from '../document/bands.js';
import { ANY_FAN } from './fan/values.js';
import { ANY_ROW_HEIGHTS } from './rows/values.js';
import { ANY_MASONRY } from './masonry/values.js';
import { ANY_MOSAIC } from './mosaic/values.js';
import { checkFit } from '../analysis/fit/checkFit.js';
import { checkDocument } from '../check/checkDocument.js';
import { groupTiles } from '../edit/commands/groups.js';
import { fitPictures } from '../edit/commands/pictures.js';
import { setKind, setSlots } from '../edit/commands/kinds.js';
import { setSpan } from '../edit/commands/place.js';
import { onLevel } from '../edit/commands/level.js';
import { laneOffsets } from './masonry/offsets.js';
import { flatTiles, layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { pageCss } from '../export/page/pageCss.js';
import { sample, samplePictures } from '../testing/sample.js';
import { pictureOf } from '../document/card.js';
import type { Arrangement, ArrangementName, CollectionDocument, MosaicPlace } from '../document/types.js';
import type { LaidOutTile } from './kind.js';

const KINDS: readonly ArrangementName[] = ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'];
const layOut = (document: CollectionDocument, width: number) =>
  layoutCollection(document, width, { measurer: LETTERS });
const meet = (a: LaidOutTile, b: LaidOutTile) =>
  a.x + a.inlineSize > b.x + 0.01 &&
  b.x + b.inlineSize > a.x + 0.01 &&
  a.y + a.blockSize > b.y + 0.01 &&
  b.y + b.blockSize > a.y + 0.01;
const overlaps = (tiles: readonly LaidOutTile[]) =>
  tiles.some((a, k) => tiles.slice(k + 1).some((b) => meet(a, b)));

const pad = { blockStart: 10, inlineEnd: 14, blockEnd: 20, inlineStart: 6 };
const aspects = fc.array(fc.constantFrom(0.5, 0.66, 0.8, 1, 1.33, 1.5, 2, 2.6), {
  minLength: 1,
  maxLength: 24,
});
const widths = fc.integer({ min: 240, max: 2000 });
const gaps = fc.integer({ min: 0, max: 30 });
const given = (
  kind: ArrangementName,
  gap: number,
  more: Partial<Arrangement> = {},
): Partial<Arrangement> => ({
  kind,
  columnGap: gap,
  rowGap: gap,
  padding: pad,
  ...more,
});

describe('every kind', () => {
  test('keeps all tiles inside of its padding, none over another but in a fan', () => {
    fc.assert(
      fc.property(aspects, widths, gaps, fc.constantFrom(...KINDS), (all, width, gap, kind) => {
        const { tiles, inlineSize, blockSize } = layOut(samplePictures(all, given(kind, gap)), width);
        expect(tiles.map(({ id }) => id)).toEqual(all.map((_, k) => `p${k + 1}`));
        if (kind === 'fan') return;
        expect(overlaps(tiles)).toBe(false);
        for (const tile of tiles) {
          expect(tile.x).toBeGreaterThanOrEqual(pad.inlineStart - 0.01);
          expect(tile.y).toBeGreaterThanOrEqual(pad.blockStart - 0.01);
          expect(tile.x + tile.inlineSize).toBeLessThanOrEqual(inlineSize - pad.inlineEnd + 0.01);
          expect(tile.y + tile.blockSize).toBeLessThanOrEqual(blockSize - pad.blockEnd + 0.01);
        }
      }),
    );
  });

  test('fills a group as it fills a collection of that size', () => {
    fc.assert(
      fc.property(aspects, widths, gaps, fc.constantFrom(...KINDS), (all, width, gap, kind) => {
        const alone = samplePictures(all, { ...given(kind, gap), autoRows: '60px' });
        const columns = { columns: ['1fr'], autoRows: 'auto', columnGap: 0, rowGap: 0 };
        const bare = { ...alone.arrangement, ...columns, kind: 'bento' as const };
        const around: CollectionDocument = {
          ...alone,
          arrangement: { ...bare, padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 } },
          tiles: {
            ...alone.tiles,
            g: { ...grouped(alone), arrangement: alone.arrangement, order: alone.order },
          },
          order: ['g'],
        };
        const inner = layOut(around, width).groups.g;
        const outer = layOut(alone, width);
        expect(inner?.blockSize).toBeCloseTo(outer.blockSize, 1);
        expect(inner?.tiles.map(({ x, y }) => [x, y])).toEqual(outer.tiles.map(({ x, y }) => [x, y]));
      }),
      { numRuns: 60 },
    );
  });

  test('is a document that the checker takes, and its page says it', () => {
    for (const kind of KINDS) {
      const document = samplePictures([1, 2, 0.5], {
        ...given(kind, 8),
        masonry: ANY_MASONRY,
        rowHeights: ANY_ROW_HEIGHTS,
        mosaic: ANY_MOSAIC,
        fan: ANY_FAN,
        cells: 'square',
      });
      expect(checkDocument(document).problems).toEqual([]);
      expect(pageCss(document, () => 'none', LETTERS)).toContain('[data-tile="p3"]');
    }
  });

  test('gives spans back when the kind before comes back', () => {
    const start = sample(
      [
        [2, 1],
        [1, 3],
        [1, 1],
      ],
      4,
    );
    let document = start;
    for (const kind of [...KINDS, 'bento'] as const)
      document = change(document, setKind(kind, 0, 'all')).document;
    expect(document.tiles).toEqual(start.tiles);
    expect(layOut(document, 1000)).toEqual(layOut(start, 1000));
  });

  test('can be one band’s, or a group’s', () => {
    const start = samplePictures([1, 2, 0.5, 1]);
    const withBand: CollectionDocument = {
      ...start,
      bands: [{ id: 'b', below: 600, arrangement: { kind: 'rows' }, tiles: {} }],
    };
    expect(bandAt(withBand, 700).arrangement.kind).toBe('bento');
    expect(layOut(withBand, 500).tiles.some(({ inlineSize, blockSize }) => inlineSize === blockSize)).toBe(
      true,
    );
    const inGroup = change(
      change(start, groupTiles(['p1', 'p2', 'p3'], 'g', 0)).document,
      onLevel('g', setKind('masonry', 0, 'all')),
    );
    expect(layOut(inGroup.document, 900).groups.g?.tiles).toHaveLength(3);
  });
});

const grouped = (document: CollectionDocument) =>
  change(document, groupTiles([...document.order], 'g', 0)).document.tiles.g as Extract<
    CollectionDocument['tiles'][string],
    { kind: 'group' }
  >;

describe('masonry', () => {
  test('what lies above a tile is a share of its width and px, as long as lanes stay', () => {
    fc.assert(
      fc.property(aspects, fc.integer({ min: 500, max: 1400 }), gaps, (all, width, gap) => {
        const document = change(
          samplePictures(all, given('masonry', gap)),
          setSpan({ tiles: ['p2', 'p7'], band: 0, setFor: 'all', columnSpan: 2 }),
        ).document;
        const layout = layOut(document, width);
        const offsets = laneOffsets(document, bandAt(document, width), layout);
        for (const wide of [width, width + 1, width + 5]) {
          const later = layOut(document, wide);
          const isSame = later.tiles.every((tile, k) => tile.column === layout.tiles[k]?.column);
          if (!isSame || later.columns.length !== layout.columns.length) continue;
          for (const tile of later.tiles) {
            const { share = NaN, length = NaN, rowGaps = 0, columnGaps = 0 } = offsets.get(tile.id) ?? {};
            const above = share * tile.inlineSize + length + (rowGaps + columnGaps) * gap;
            expect(above).toBeCloseTo(tile.y - pad.blockStart, 4);
          }
        }
      }),
    );
  });

  test('kept in order, tiles take the lanes in turn', () => {
    const document = samplePictures([1, 0.5, 2, 1, 1, 2, 0.5], {
      ...given('masonry', 10),
      masonry: { ...ANY_MASONRY, count: 3, order: 'in-turn' },
    });
    expect(layOut(document, 900).tiles.map(({ column }) => column)).toEqual([1, 2, 3, 1, 2, 3, 1]);
  });

  test('words are as high as they need', () => {
    const document = sample([
      [1, 1],
      [1, 1],
    ]);
    const laid = layOut({ ...document, arrangement: { ...document.arrangement, kind: 'masonry' } }, 600);
    expect(laid.tiles[0]?.blockSize).toBeGreaterThan(30);
  });
});

describe('a row gallery', () => {
  test('every row is exactly as wide as the gallery, but for a last one that is held', () => {
    fc.assert(
      fc.property(aspects, widths, gaps, (all, width, gap) => {
        const { tiles, inlineSize, rows } = layOut(samplePictures(all, given('rows', gap)), width);
        rows.forEach(({ size }, k) => {
          const row = tiles.filter((tile) => tile.row === k + 1);
          const end = Math.max(...row.map((tile) => tile.x + tile.inlineSize));
          const isHeld = k === rows.length - 1 && size > ANY_ROW_HEIGHTS.target - 0.1;
          if (!isHeld) expect(Math.abs(end - inlineSize + pad.inlineEnd)).toBeLessThan(0.5);
          for (const tile of row) expect(Math.abs(tile.blockSize - size)).toBeLessThan(0.05);
        });
      }),
    );
  });

  test('begins a row where it is said', () => {
    const start = samplePictures([1, 1, 1, 1, 1, 1], given('rows', 10));
    const p3 = start.tiles.p3 as CollectionDocument['tiles'][string];
    const document = {
      ...start,
      tiles: { ...start.tiles, p3: { ...p3, place: { ...p3.place, breakBefore: true } } },
    };
    const [, second, third] = layOut(document, 900).tiles;
    expect(third?.row).toBe((second?.row ?? 0) + 1);
  });
});

describe('a mosaic', () => {
  test('covers every module once; locked tiles stay while the rest is computed anew', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 9 }), (seed, of) => {
        const all = [1, 1.5, 0.66, 2, 1, 0.5, 1.33, 0.8, 1.6, 1];
        const start = samplePictures(all, {
          ...given('mosaic', 6),
          mosaic: { ...ANY_MOSAIC, count: 8, seed },
        });
        const first = layOut(start, 1000);
        expect(first.coverage).toMatchObject({ holes: [], overlapping: 0 });
        const { id, column, row, columnSpan, rowSpan } = first.tiles[of] as LaidOutTile;
        const tile = start.tiles[id] as CollectionDocument['tiles'][string];
        const locked: CollectionDocument = {
          ...start,
          arrangement: { ...start.arrangement, mosaic: { ...ANY_MOSAIC, count: 8, seed: seed + 50 } },
          tiles: {
            ...start.tiles,
            [id]: { ...tile, place: { ...tile.place, slot: { column, row, columnSpan, rowSpan } } },
          },
        };
        const next = layOut(locked, 1000);
        expect(next.coverage).toMatchObject({ holes: [], overlapping: 0 });
        expect(next.tiles.some((a, k) => next.tiles.slice(k + 1).some((b) => areasMeet(a, b)))).toBe(false);
        expect(next.tiles[of]).toMatchObject({ column, row, columnSpan, rowSpan });
      }),
      { numRuns: 60 },
    );
  });

  test('all locked, it stays as it is, and pictures are dealt out among its slots by least crop', () => {
    const all = [1, 1.5, 0.66, 2, 1, 0.5, 1.33, 0.8, 1.6, 1];
    const start = samplePictures(all, { ...given('mosaic', 6), mosaic: { ...ANY_MOSAIC, count: 8 } });
    const { tiles } = layOut(start, 1000);
    const slots: Record<string, MosaicPlace> = {};
    for (const { id, column, row, columnSpan, rowSpan } of tiles)
      slots[id] = { column, row, columnSpan, rowSpan };
    // The other way round, no picture suits its slot.
    const turned = tiles.toReversed().map(({ inlineSize, blockSize }) => inlineSize / blockSize);
    const shuffled: CollectionDocument = { ...samplePictures(turned, start.arrangement), order: start.order };
    const locked = change(shuffled, setSlots(slots, 0)).document;
    const aspects = Object.fromEntries(
      tiles.map(({ id, inlineSize, blockSize }) => [id, inlineSize / blockSize]),
    );
    const fitted = change(locked, fitPictures(aspects)).document;
    expect(layOut(fitted, 1000).tiles).toEqual(tiles);
    for (const { id, inlineSize, blockSize } of tiles) {
      const tile = fitted.tiles[id];
      const asset = fitted.pictures[(tile && pictureOf(tile)?.picture) ?? ''];
      expect((asset?.inlineSize ?? 0) / (asset?.blockSize ?? 1)).toBeCloseTo(inlineSize / blockSize, 2);
    }
  });

  test('a panorama has a wide slot, a tall picture a tall one', () => {
    const { tiles } = layOut(
      samplePictures([1, 2.6, 0.5, 1, 1.5], { ...given('mosaic', 6), mosaic: { ...ANY_MOSAIC, count: 8 } }),
      1000,
    );
    expect(tiles[1]?.columnSpan).toBeGreaterThan(tiles[1]?.rowSpan ?? 9);
    expect(tiles[2]?.rowSpan).toBeGreaterThan(tiles[2]?.columnSpan ?? 9);
  });
});

test('square cells are as high as the first column is wide', () => {
  const document = samplePictures([1, 1, 1, 1], {
    ...given('bento', 0),
    columns: ['1fr', '1fr', '1fr'],
    cells: 'square',
  });
  for (const { inlineSize, blockSize } of flatTiles(layOut(document, 777)))
    expect(blockSize).toBeCloseTo(inlineSize, 1);
});

test('masonry along rows: lanes of one height, what is left over runs out sideways, the page says it', () => {
  const along = { ...ANY_MASONRY, direction: 'inline' as const, laneSize: 120, count: 3 };
  const document = change(
    samplePictures([1, 2, 0.5, 1.5, 1, 2, 1, 0.8], { ...given('masonry', 10), masonry: along }),
    setSpan({ tiles: ['p4'], band: 0, setFor: 'all', columnSpan: 2 }),
  ).document;
  const layout = layOut(document, 400);
  expect(layout.blockSize).toBe(3 * 120 + 2 * 10 + pad.blockStart + pad.blockEnd);
  expect(overlaps(layout.tiles)).toBe(false);
  expect(layout.tiles.map(({ blockSize }) => blockSize)).toEqual([120, 120, 120, 250, 120, 120, 120, 120]);
  expect(layOut(document, 1200).tiles.map(({ x }) => x)).toEqual(layout.tiles.map(({ x }) => x));
  const css = pageCss(document, () => 'none', LETTERS);
  expect(css).toContain('grid-template-rows: repeat(3, 120px)');
  expect(css).not.toContain('@container');
  expect(checkFit(document, { measurer: LETTERS }).findings.map(({ kind }) => kind)).not.toContain(
    'overflow',
  );
});
