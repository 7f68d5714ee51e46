import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../check/checkDocument.js';
import { change } from '../edit/patch/change.js';
import { setFit } from '../edit/commands/place.js';
import { groupTiles } from '../edit/commands/groups.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { looksGrow } from '../look/named.js';
import { pageCss } from '../export/page/pageCss.js';
import { setLook } from '../edit/commands/tiles.js';
import { widthForColumns } from '../arrangements/columns.js';
import { lengthBends, measured } from './measured.js';
import { sample } from '../testing/sample.js';
import type { Arrangement, CollectionDocument, NarrowerBand } from './types.js';

const base = sample(
  [
    [1, 1],
    [1, 1],
    [2, 1],
  ],
  2,
);
const withFrame = (frame: Partial<Arrangement>): CollectionDocument => ({
  ...base,
  bands: [],
  arrangement: { ...base.arrangement, ...frame },
});

const FLUSH = {
  columnGap: 0,
  rowGap: 0,
  padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 },
};
const side = '5%';
const FRAME = {
  columnGap: 'clamp(8px, 2cqi, 24px)',
  rowGap: '1.5rem',
  padding: { blockStart: side, inlineEnd: side, blockEnd: '2vw', inlineStart: 'max(12px, 1rem)' },
  maxInlineSize: 'min(1100px, 90%)',
  height: { kind: 'fixed', px: 'calc(300px + 30vw)' },
} as const;

test('lengths come to px at a width: hundredths of the page, root sizes, shares of the page and of what is inside', () => {
  const at = (page: number) => measured(withFrame(FRAME).arrangement, page);
  expect(at(1000)).toMatchObject({
    columnGap: 20,
    rowGap: 24,
    padding: { blockStart: 50, inlineEnd: 50, blockEnd: 20, inlineStart: 16 },
    maxInlineSize: 900,
    height: { kind: 'fixed', px: 600 },
  });
  expect([at(300).columnGap, at(2000).columnGap, at(2000).maxInlineSize]).toEqual([8, 24, 1100]);
  expect(measured({ ...base.arrangement, columnGap: '10%' }, 1000).columnGap).toBeCloseTo(
    (1000 - 2 * Number(base.arrangement.padding.inlineStart)) / 10,
  );
});

test('so do the values of kinds, and tracks', () => {
  const written = {
    ...base.arrangement,
    columns: ['20cqi', 'minmax(5vw, 1fr)'],
    rows: ['2rem'],
    autoRows: 'clamp(40px, 10cqi, 90px)',
    fluid: { repeat: 'auto-fit', min: '12rem', max: 4, spansFrom: null },
    masonry: { count: null, min: '20cqi', max: null, order: 'balanced', tolerance: 4 },
    fan: { axis: 'inline', inlineSize: '40vw', blockSize: 'calc(1rem + 10cqi)', strip: '0cqi', open: 'last' },
  } as const;
  expect(measured(written, 1000)).toMatchObject({
    columns: ['200px', 'minmax(50px, 1fr)'],
    rows: ['2rem'],
    autoRows: 'clamp(40px, 100px, 90px)',
    fluid: { repeat: 'auto-fit', min: 192, max: 4 },
    masonry: { min: 200, order: 'balanced' },
    fan: { inlineSize: 400, blockSize: 116, strip: 0 },
  });
  // No column is of no width: any number of them would fit.
  expect(measured({ ...written, fluid: { ...written.fluid, min: '0cqi' } }, 1000).fluid?.min).toBe(1);
});

test('columns that follow the page are as many as fit at each width', () => {
  const fluid = { repeat: 'auto-fill', min: 'max(100px, 30cqi)', max: null, spansFrom: null } as const;
  const document = withFrame({ ...FLUSH, kind: 'fluid', fluid });
  const columnsAt = (width: number) =>
    layoutCollection(document, width, { measurer: LETTERS }).columns.length;
  expect([columnsAt(250), columnsAt(301), columnsAt(900), columnsAt(2000)]).toEqual([2, 3, 3, 3]);
  expect(widthForColumns(document.arrangement, 3)).toBe(300);
  expect(widthForColumns(document.arrangement, 4)).toBe(Infinity);
  expect(pageCss(document, () => 'none', LETTERS)).toContain(
    'repeat(auto-fill, minmax(min(100%, max(100px, 30cqi)), 1fr))',
  );
});

test('tracks that follow the page are as wide on the stage as the page says', () => {
  const document = withFrame({ ...FLUSH, columns: ['25cqi', '1fr'], autoRows: '10vw' });
  const { columns, rows } = layoutCollection(document, 800, { measurer: LETTERS });
  expect([columns.map(({ size }) => size), rows[0]?.size]).toEqual([[200, 600], 80]);
  const css = pageCss(document, () => 'none', LETTERS);
  expect(css).toContain('grid-template-columns: 25cqi minmax(0, 1fr)');
  expect(css).toContain('grid-auto-rows: 10cqi');
});

test('padding, gaps and type of a tile follow the page', () => {
  const look = { padding: '5cqi', headingSize: 'clamp(1rem, 4vw, 3rem)' } as const;
  const grown = change(withFrame({ ...FLUSH, autoRows: 'auto' }), setLook(['t1'], look)).document;
  expect(checkDocument(grown).problems).toEqual([]);
  const high = (width: number) =>
    layoutCollection(grown, width, { measurer: LETTERS }).tiles[0]?.blockSize ?? 0;
  // Twice 5 % of the page is the padding, so it grows at least by that.
  expect(high(1000) - high(600)).toBeGreaterThan(39);
  expect(looksGrow(grown)).toBe(true);
  expect(looksGrow(base)).toBe(false);
  const [band] = base.bands;
  const inBand = (values: Partial<NarrowerBand>) =>
    looksGrow({ ...base, bands: [{ ...(band as NarrowerBand), ...values }] });
  expect(inBand({ looks: { t1: { padding: '2cqi' } } })).toBe(true);
  expect(inBand({ looks: { t1: { padding: null, gap: 4 } } })).toBe(false);
});

test('an arrangement in px is measured already', () => {
  expect(measured(base.arrangement, 500)).toBe(base.arrangement);
});

test('between bends every length is a straight line of the width', () => {
  const { arrangement } = withFrame(FRAME);
  const bends = lengthBends(arrangement);
  // 2cqi leaves 8 px at 400 and reaches 24 at 1200; 90 % reaches 1100 at 1222.2.
  for (const width of [400, 1200]) expect(bends).toContain(width);
  const edges = [240, ...bends.filter((each) => each > 240 && each < 2560), 2560].sort((a, b) => a - b);
  const of = (page: number) => {
    const { columnGap, maxInlineSize } = measured(arrangement, page);
    return [columnGap, maxInlineSize ?? 0];
  };
  fc.assert(
    fc.property(fc.nat(edges.length - 2), fc.double({ min: 0, max: 1, noNaN: true }), (k, share) => {
      const [low = 0, high] = [edges[k], (edges[k + 1] ?? 0) - 1];
      if (high <= low) return;
      const page = Math.round(low + (high - low) * share);
      of(page).forEach((value, n) => {
        const [a = 0, b = 0] = [of(low)[n], of(high)[n]];
        expect(value).toBeCloseTo(a + ((b - a) * (page - low)) / (high - low), 6);
      });
    }),
  );
});

test('tiles lie as their lengths say, at any width', () => {
  const document = withFrame({ ...FRAME, height: { kind: 'content' } });
  for (const width of [320, 800, 1600]) {
    const frame = measured(document.arrangement, width);
    const { tiles, inlineSize } = layoutCollection(document, width, { measurer: LETTERS });
    const [first, second] = tiles;
    expect(inlineSize).toBeCloseTo(Math.min(width, frame.maxInlineSize ?? width), 1);
    expect(first?.x).toBeCloseTo(frame.padding.inlineStart, 1);
    expect((second?.x ?? 0) - (first?.x ?? 0) - (first?.inlineSize ?? 0)).toBeCloseTo(frame.columnGap, 1);
  }
});

test.each([
  ['columnGap', '2em', 'A length is px, or written like'],
  ['columnGap', '10vh', 'vh and em are not known here'],
  ['columnGap', 'calc(1px + )', 'here it is'],
  ['columnGap', '900px', 'A gap is up to 400 px at every width; “900px” comes to 900'],
  ['columnGap', '50cqi', 'comes to 1280'],
  ['rowGap', '5%', 'can’t be in % here'],
  ['maxInlineSize', 'url(x)', 'here it is'],
  ['columns', ['20vh'], 'not by the window’s height'],
  ['columns', ['200cqi'], 'at most 10000 px'],
] as const)('%s of %j is refused in words', (field, value, words) => {
  const { document, problems } = checkDocument(withFrame({ [field]: value }));
  expect(document).toBeNull();
  expect(problems.map(({ message }) => message).join()).toContain(words);
});

test('lengths of kinds and of tiles are read the same way', () => {
  const problems = (values: Partial<Arrangement>) =>
    checkDocument(withFrame(values))
      .problems.map(({ message }) => message)
      .join();
  const fluid = (min: string) => problems({ fluid: { repeat: 'auto-fit', min, max: null, spansFrom: null } });
  expect(fluid('12rem')).toBe('');
  expect(fluid('2em')).toContain('A length is px');
  expect(fluid('0cqi')).toContain('at least 1 px at every width');
  const sized = (inlineSize: string) => {
    const fit = { inline: 'start', block: 'start', inlineSize, blockSize: null } as const;
    const own = change(base, setFit(['t1'], fit, 0, 'all')).document;
    return checkDocument(own).problems.map(({ message }) => message);
  };
  expect(sized('50%')).toEqual([]);
  expect(sized('100vh')).toHaveLength(1);
});

test('a share is refused in a group, where nobody knows of what it is', () => {
  const grouped = change(base, groupTiles(['t1', 't2'], 'g', 0)).document;
  const group = grouped.tiles.g;
  if (group?.kind !== 'group') throw new Error('It is a group.');
  const written = (columnGap: string) =>
    checkDocument({
      ...grouped,
      tiles: { ...grouped.tiles, g: { ...group, arrangement: { ...group.arrangement, columnGap } } },
    }).problems.map(({ message }) => message);
  expect(written('3%').join()).toContain('can’t be in % here');
  expect(written('3cqi')).toEqual([]);
});
