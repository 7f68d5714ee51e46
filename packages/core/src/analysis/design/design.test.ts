import { describe, expect, test } from '@jest/globals';
import { applyDesign } from './applyDesign.js';
import { bandsOf } from '../../document/bands.js';
import { change } from '../../edit/patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { checkFit } from '../fit/checkFit.js';
import { coverageOf } from '../packing/closeGaps.js';
import { DESIGN_EXAMPLES } from './examples.js';
import { readDesign } from './readDesign.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { followWider } from '../reflow/followWider.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { spansByShape } from '../packing/spansByShape.js';
import { resolvedBands } from '../../arrangements/bands.js';
import { cardWith } from '../../testing/held.js';
import { kindTitle, tileName } from '../../parts/said.js';
import { sample } from '../../testing/sample.js';
import type { CollectionDocument, GroupTile, Tile } from '../../document/types.js';

/** Higher than any row, however wide. */
const LONG = 'Wood is dry where it is stacked.\n\n'.repeat(30);

/** A collection after something was said of it, with ids `n0`, `n1`… for what is new. */
function said(text: string, document: CollectionDocument = sample([])): CollectionDocument {
  let k = 0;
  const freshId = () => `n${k++}`;
  const command = applyDesign({ design: readDesign(text), band: 0, setFor: 'band', freshId, what: 'text' });
  return change(document, command).document;
}

const spansIn = ({ order, tiles }: CollectionDocument) =>
  order.map((id) => `${tiles[id]?.place.columnSpan}×${tiles[id]?.place.rowSpan}`);

describe('a design read as one grid', () => {
  test.each([
    ['2, 3', 6, 2, 5],
    ['2, 3, 2 with halves', 6, 4, 8],
    ['3 then 2 with halves then 3', 6, 4, 9],
    ['2:1, 3', 3, 2, 5],
    ['4 with 4 halves', 4, 2, 6],
    ['3, 4 with the 2nd in halves, 2', 12, 4, 10],
    ['4 with the 1st and 3rd halved', 4, 2, 6],
    ['70/30', 10, 1, 2],
    ['70:30', 10, 1, 2],
    ['7:3', 10, 1, 2],
  ])('%s: %i columns, %i rows, %i cards', (text, columns, rows, cards) => {
    const { grid } = readDesign(text);
    expect([grid?.columns, grid?.rows, grid?.spans.length]).toEqual([columns, rows, cards]);
    const made = said(text);
    const band = resolvedBands(made)[0];
    const covered = band && coverageOf(made, band);
    expect([covered?.holes, covered?.cells]).toEqual([[], columns * rows]);
  });

  test('cuts the card that is named, where it stands, and leaves the other rows as they are', () => {
    const start = { ...sample([]).arrangement, autoRows: '160px', rowGap: 16 };
    const made = said('3, 4 with the 2nd in halves, 2', { ...sample([]), arrangement: start });
    expect(made.arrangement.rows).toEqual(['160px', '72px', '72px', '160px']);
    const { tiles } = layoutCollection(made, 1280, { measurer: LETTERS });
    const at = (k: number) => tiles.find(({ id }) => id === `n${k}`);
    expect([at(4), at(7)].map((tile) => [tile?.column, tile?.row, tile?.rowSpan])).toEqual([
      [4, 2, 1],
      [4, 3, 1],
    ]);
    expect([at(0), at(3), at(8)].map((tile) => tile?.blockSize)).toEqual([160, 160, 160]);
    expect(tiles.map(({ id }) => id)).toEqual(made.order);
  });

  test('says a proportion in any of its ways', () => {
    const [first, ...others] = ['70/30, 2', '70:30, 2', '7:3, 2', '7 / 3, 2'].map(readDesign);
    for (const each of others) expect(each).toEqual(first);
  });

  test.each([
    '',
    'two',
    '0',
    '3 with 3 halves',
    '7, 8, 9',
    '2, , with halves',
    '3 with the 4th in halves',
    '3 with the second in halves',
    '2 halves',
    '70/0',
  ])('refuses %j in words', (text) => {
    expect(() => readDesign(text)).toThrow(/Write the cards of each row|share no grid/);
  });
});

describe('tiles beyond the cards that were said', () => {
  const spans = (text: string, count: number) =>
    spansIn(said(text, sample(Array.from({ length: count }, () => [1, 1] as const))));

  test('lie in the same rows again', () => {
    expect(spans('70/30', 4)).toEqual(['7×1', '3×1', '7×1', '3×1']);
    expect(spans('1, 2', 5)).toEqual(['2×1', '1×1', '1×1', '2×1', '1×1']);
  });

  test('lie in cut rows again where there are enough for all of them', () => {
    const text = '2 with halves';
    const once = said(text, sample(Array.from({ length: 5 }, () => [1, 1] as const)));
    expect(once.arrangement.rows).toHaveLength(2);
    const twice = said(text, sample(Array.from({ length: 6 }, () => [1, 1] as const)));
    expect(twice.arrangement.rows).toHaveLength(4);
    expect(spansIn(twice)).toEqual(['1×2', '1×1', '1×1', '1×2', '1×1', '1×1']);
  });

  test('keep their spans where the cards leave cells free', () => {
    expect(spans('4 × 2: 2×2', 3)).toEqual(['2×2', '1×1', '1×1']);
    const narrow = said(
      '7 × 4 of 12, 12 below 900',
      sample(Array.from({ length: 8 }, () => [1, 1] as const)),
    );
    const at = narrow.bands.find(({ below }) => below === 900)?.tiles ?? {};
    expect(narrow.order.map((id) => at[id]?.columnSpan)).toEqual([...Array<number>(7).fill(12), undefined]);
  });
});

describe('a design said in other ways', () => {
  test('a grid and a span a card', () => {
    const made = said('5 × 2: 2×2, 3×1, 1x1, 2 x 1');
    expect([made.arrangement.columns.length, made.arrangement.rows.length]).toEqual([5, 2]);
    expect(spansIn(made)).toEqual(['2×2', '3×1', '1×1', '2×1']);
    const [band] = resolvedBands(made);
    expect(band && coverageOf(made, band).holes).toEqual([]);
  });

  test.each(['9 × 4 of 12', '9 cards of 4 in 12', '9x4/12'])('%s: nine cards of four columns', (text) => {
    const made = said(text);
    expect(made.arrangement.columns).toHaveLength(12);
    expect(spansIn(made)).toEqual(Array.from({ length: 9 }, () => '4×1'));
  });

  test('cards of one size, with what is left of the width shared between them', () => {
    const made = said('4 of 400 × 500 across 1800');
    const { tiles } = layoutCollection(made, 1800, { measurer: LETTERS });
    expect(tiles.map(({ x, inlineSize, blockSize }) => [x, inlineSize, blockSize].map(Math.round))).toEqual([
      [0, 400, 500],
      [467, 400, 500],
      [933, 400, 500],
      [1400, 400, 500],
    ]);
    expect(said('1 of 400 × 500 across 400').order).toHaveLength(1);
    expect(said('2 cards of 300px x 200px across 640px, padding 8').arrangement).toMatchObject({
      columnGap: 40,
      padding: { inlineStart: 8 },
    });
    expect(() => readDesign('5 of 400 × 500 across 1800')).toThrow(
      '5 cards of 400 px take 2000 px, more than 1800.',
    );
    expect(() => readDesign('2 of 10 × 500 across 1800')).toThrow('px between them');
  });

  test('cards of other spans at narrower widths: the same columns, three, two and one beside each other', () => {
    const text = '9 × 4 of 12, 12 below 600, 6 below 900';
    const start = { ...emptyDocument('Empty'), narrowerBands: 'derived' } as CollectionDocument;
    const made = followWider(said(text, start), LETTERS, (k) => `b${k}`);
    expect(made.bands.map(({ below }) => below)).toEqual([900, 600]);
    expect(bandsOf(made).map(({ arrangement }) => arrangement.columns.length)).toEqual([12, 12, 12]);
    const beside = [1280, 899, 599].map((width) => {
      const { tiles } = layoutCollection(made, width, { measurer: LETTERS });
      return tiles.filter(({ row }) => row === 1).length;
    });
    expect(beside).toEqual([3, 2, 1]);
  });

  test('rows that are kept down to a width, and one below the other under it', () => {
    const start = { ...emptyDocument('Empty'), narrowerBands: 'derived' } as CollectionDocument;
    const made = followWider(said('3:2, 1:3, stacked below 400', start), LETTERS, (k) => `b${k}`);
    expect(made.bands.map(({ below }) => below)).toEqual([400]);
    const rows = [1280, 400, 399].map((width) =>
      layoutCollection(made, width, { measurer: LETTERS }).tiles.map(({ row }) => row),
    );
    expect(rows).toEqual([
      [1, 1, 2, 2],
      [1, 1, 2, 2],
      [1, 2, 3, 4],
    ]);
    expect(() => readDesign('80 × 180px, stacked below 400')).toThrow('is said of rows of cards');
  });

  test.each([
    [
      'masonry of 4, gap 12, 11 cards',
      { kind: 'masonry', masonry: { count: 4 }, columnGap: 12, rowGap: 12 },
      11,
    ],
    ['Masonry in 3 columns', { kind: 'masonry', masonry: { count: 3, order: 'balanced' } }, 0],
    ['masonry of 14rem, at most 5', { kind: 'masonry', masonry: { count: null, min: '14rem', max: 5 } }, 0],
    ['mosaic of 120px', { kind: 'mosaic', mosaic: { count: null, min: 120, max: null, seed: 1 } }, 0],
    ['mosaic', { kind: 'mosaic' }, 0],
    ['masonry, Enlarge all pictures', { kind: 'masonry' }, 0],
  ])('“%s” is a kind by its name', (text, arrangement, tiles) => {
    const made = said(text);
    expect(made.arrangement).toMatchObject(arrangement);
    expect(made.order).toHaveLength(tiles);
    expect(made.enlarges).toBe(/enlarge/i.test(text) ? 'all' : undefined);
    expect(checkDocument(made).problems).toEqual([]);
  });

  test('what a card is stands beside its span, and the heights of the first rows beside the grid', () => {
    const made = said('4 × 3: 4×1, 2×2 Picture, 2×1 quote, 1×1 stat, 1×1 group, first rows 64 1fr');
    expect(made.order.map((id) => kindTitle(made.tiles[id] as Tile))).toEqual([
      'Text',
      'Picture',
      'Quote',
      'Stat',
      'Group',
    ]);
    expect(spansIn(made)).toEqual(['4×1', '2×2', '2×1', '1×1', '1×1']);
    expect(made.arrangement.rows.slice(0, 2)).toEqual(['64px', '1fr']);
    // Tiles that are there stay what they are.
    const again = said('4 × 3: 4×1 quote, 2×2 stat', made);
    expect(again.order.map((id) => kindTitle(again.tiles[id] as Tile))[0]).toBe('Text');
    expect(checkDocument(made).problems).toEqual([]);
  });

  test('a group is made with its own grid, however deep', () => {
    const made = said(
      '4 × 2: 2×2 group (9 × 1 of 3, gap 2), 2×1 group (2 × 1: 1×1 quote, 1×1 group (2)), 2×1',
    );
    const groups = Object.values(made.tiles).flatMap((tile) => (tile.kind === 'group' ? [tile] : []));
    expect(groups.map(({ order, arrangement }) => [order.length, arrangement.columns.length])).toEqual([
      [9, 3],
      [2, 2],
      [2, 2],
    ]);
    expect(groups[0]?.arrangement.columnGap).toBe(2);
    expect(made.arrangement.columns).toHaveLength(4);
    expect(made.order).toHaveLength(3);
    expect(checkDocument(made).problems).toEqual([]);
    // A group that is there gets the grid that is said of it, and keeps what it holds.
    const [first = ''] = made.order;
    const again = said('4 × 2: 2×2 group (3 × 1 of 3, gap 8)', made);
    expect(again.tiles[first]).toMatchObject({ arrangement: { columnGap: 8 } });
    expect((again.tiles[first] as GroupTile).order).toHaveLength(9);
  });

  test.each([
    ['4 × 3: 2×1 quote (3)', 'only a group holds a grid. Write “2×1 group (3)”.'],
    [
      '4 × 3: 2×1 group (3, no breakpoints)',
      'breakpoints and the background are those of the whole collection',
    ],
    ['4 × 3: 2×1 hero', '“hero” is no kind of tile. Write one of text,'],
    ['4 × 3, first rows tall', 'write the heights of the first rows'],
    ['4 × 3, first row', 'write the heights of the first rows'],
    ['4 × 3, first row 99999999', 'From 0 to'],
  ])('“%s” is refused', (text, why) => expect(() => readDesign(text)).toThrow(why));

  test('areas are named row by row, and take tiles in reading order', () => {
    const made = said('areas a a . . . / . b b b . / . . . c c, gap 8');
    expect(made.arrangement).toMatchObject({
      columns: Array(5).fill('1fr'),
      areas: ['a a . . .', '. b b b .', '. . . c c'],
      columnGap: 8,
    });
    expect(made.order.map((id) => [made.tiles[id]?.name, made.tiles[id]?.place.area])).toEqual([
      ['a', 'a'],
      ['b', 'b'],
      ['c', 'c'],
    ]);
    // Tiles that lie in an area of that name stay in it; others are put in.
    const again = said('areas "c c" / "d ."', made);
    expect(again.order.map((id) => again.tiles[id]?.place.area)).toEqual(['d', 'b', 'c']);
    expect(checkDocument(again).problems).toEqual([]);
  });

  test.each([
    ['areas', 'Write a name for each cell'],
    ['areas . / .', 'Write a name for each cell'],
    ['areas a b / b a', 'Each area is one rectangle'],
    ['areas a 2b', '“2b” can’t name an area.'],
    ['areas a b, 2:1', '“2:1” can’t stand beside areas.'],
    [`areas ${'a '.repeat(60)}`, 'At most 48 columns'],
  ])('“%s” is refused', (text, why) => expect(() => readDesign(text)).toThrow(why));

  test('square cells and pictures are said beside a grid', () => {
    const made = said('14 × 6: 9×4, 5×6, 9×2, square cells, pictures, gap 8');
    expect(made.arrangement).toMatchObject({ cells: 'square', columnGap: 8 });
    expect(made.order.map((id) => tileName(made.tiles[id] as Tile, made))).toEqual(Array(3).fill('Picture'));
    expect(said('masonry of 3, 5 pictures').order).toHaveLength(5);
    expect(() => readDesign('14 × 6, square cells of 9')).toThrow('write “square cells” alone');
    expect(said('2, pictures').order).toHaveLength(2);
  });

  test.each([
    ['masonry of', '“masonry of”: write “masonry of 4”, or “masonry of 240px” for as many as fit.'],
    ['masonry of 3, enlarge the first', '“enlarge the first” can’t stand beside “masonry of 3”'],
    ['enlarge all films', '“enlarge all films”: write “enlarge all” alone.'],
    ['masonry of 60', 'From 1 to 48 columns; here it is 60.'],
    ['masonry of 3, 2:1', '“2:1” can’t stand beside “masonry of 3”. Say how many tiles: “12 cards”.'],
    ['masonry of 4, at most 5', '“at most” and “spans from” are said of columns that fit'],
    ['masonry of 4 × 180px', 'write “masonry of 4”'],
  ])('“%s” is refused', (text, why) => expect(() => readDesign(text)).toThrow(why));

  test('breakpoints that are said stay the only ones where something fits at no width', () => {
    const start = { ...emptyDocument('Empty'), narrowerBands: 'derived' } as CollectionDocument;
    const made = said('3:2, 1:3, stacked below 400', start);
    const [first = ''] = made.order;
    const tile = { ...cardWith('film', first), place: (made.tiles[first] as Tile).place };
    const words = { ...tile, parts: [...tile.parts, ...cardWith('text', first, { text: LONG }).parts] };
    const amiss: CollectionDocument = { ...made, tiles: { ...made.tiles, [first]: words } };
    const kinds = (at: number) =>
      checkFit(amiss, { measurer: LETTERS, from: at, to: at }).findings.map(({ kind }) => kind);
    expect(kinds(2560)).toContain('clipped');
    const following = (shown?: number) => followWider(amiss, LETTERS, (k) => `b${k}`, shown);
    expect(following().bands.map(({ below }) => below)).toEqual([400]);
    // The width that one works at stays in the widest band, though nothing was said of it.
    const { unbroken: _, ...unsaid } = { ...amiss, bands: [] };
    expect(followWider(unsaid, LETTERS, (k) => `b${k}`).bands[0]?.below).toBe(2560);
    expect(followWider(unsaid, LETTERS, (k) => `b${k}`, 1280).bands[0]?.below).toBeLessThan(1281);
  });

  test('breakpoints that are said are the only ones, and fewer columns come with each', () => {
    const start = { ...emptyDocument('Empty'), narrowerBands: 'derived' } as CollectionDocument;
    const made = followWider(said('3, 3, breakpoints 580 and 900', start), LETTERS, (k) => `b${k}`);
    expect(made.bands.map(({ below }) => below)).toEqual([900, 580]);
    expect(bandsOf(made).map(({ arrangement }) => arrangement.columns.length)).toEqual([3, 2, 1]);
    expect(followWider(made, LETTERS, (k) => `b${k}`)).toBe(made);
    const [fits] = said('80 × 180px, breakpoints 700', start).bands;
    expect([fits?.below, fits?.arrangement]).toEqual([700, {}]);
  });

  test('where none are wanted, none are derived', () => {
    const start = { ...emptyDocument('Empty'), narrowerBands: 'derived' } as CollectionDocument;
    const made = followWider(said('1, 4, 4, no breakpoints', start), LETTERS, (k) => `b${k}`);
    expect(made.bands).toEqual([]);
    expect(followWider(said('1, 4, 4', start), LETTERS, (k) => `b${k}`).bands).not.toEqual([]);
    expect(() => readDesign('4, no breakpoints 900')).toThrow('write “no breakpoints” alone');
  });

  test('where bands are set by hand, breakpoints are added to those that are there', () => {
    const made = said('breakpoints 700 and 640', sample([[1, 1]]));
    expect(made.bands.map(({ below }) => below)).toEqual([1080, 700, 640]);
    expect(made.bands.map(({ derived }) => derived)).toEqual([undefined, undefined, undefined]);
  });

  test('columns that fit, with as many cards', () => {
    const made = said('80 × 180px, gap 12, spans from 640');
    expect(made.arrangement).toMatchObject({
      kind: 'fluid',
      fluid: { min: 180, max: null, spansFrom: 640 },
      columnGap: 12,
      rowGap: 12,
      flow: 'dense',
    });
    expect(made.order).toHaveLength(80);
  });

  test('the least minimum that gives so many columns at a width: above (1240 − 4 · 28) ÷ 5 = 225.6', () => {
    const made = said('padding 0, gap 28, 4 at 1240, at most 5');
    expect(made.arrangement.fluid).toMatchObject({ min: 225.61, max: 5 });
    const columns = (width: number, of = made) =>
      layoutCollection(of, width, { measurer: LETTERS }).columns.length;
    expect([columns(1240), columns(1241), columns(2560)]).toEqual([4, 5, 5]);
    expect(columns(2560, said('gap 4', made))).toBe(5);
  });

  test('so many cards beside what is said of the grid, but never fewer than there are', () => {
    expect(said('4 at 1240, 12 cards').order).toHaveLength(12);
    expect(said('3, 2, 9 cards').order).toHaveLength(9);
    expect(said('1 card', said('6 tiles')).order).toHaveLength(6);
    expect(() => readDesign('0 cards')).toThrow('From 1 to 10000 cards');
  });

  test('values beside the cards', () => {
    const made = said('3, 2, gap 18; padding 36, radius 14, width 1200px, height 92% of the screen');
    expect(made.arrangement).toMatchObject({
      columnGap: 18,
      rowGap: 18,
      padding: { blockStart: 36, inlineEnd: 36, blockEnd: 36, inlineStart: 36 },
      maxInlineSize: 1200,
      height: { kind: 'screen', share: 0.92, rows: 'share' },
    });
    expect(made.look.radius).toBe(14);
    expect(said('height 640', made).arrangement.height).toEqual({ kind: 'fixed', px: 640, rows: 'share' });
    expect(said('gap 4', made).order).toEqual(made.order);
  });

  test('spans by the shapes of pictures: wide ones two columns, tall ones two rows, some of the others both', () => {
    const cell = { inlineSize: 210, blockSize: 160 };
    const spans = spansByShape([1.3, 3, 0.6, null, 1.4, 1.2, 1.3, 1.25, 1.3, 1.3], cell, 12);
    expect(spans.map(({ columns, rows }) => `${columns}×${rows}`)).toEqual([
      '2×2',
      '2×1',
      '1×2',
      '1×1',
      '1×1',
      '1×1',
      '1×1',
      '1×1',
      '1×1',
      '1×1',
    ]);
    const made = said(
      '210px, spans by shape from 640',
      sample([
        [3, 3],
        [1, 1],
      ]),
    );
    expect([spansIn(made), made.arrangement.fluid?.spansFrom]).toEqual([['1×1', '1×1'], 640]);
  });

  test('every example can be read, and what it makes is sound', () => {
    for (const { write } of DESIGN_EXAMPLES) {
      expect(checkDocument(said(write, emptyDocument('Empty'))).problems).toEqual([]);
    }
  });

  test('lengths may be any that CSS has, with commas of their own', () => {
    const made = said(
      '80 × 12rem, gap clamp(8px, min(2vw, 3rem), 24px), padding 2CQI; width 70rem, height 40rem',
    );
    expect(made.order).toHaveLength(80);
    expect(made.arrangement).toMatchObject({
      fluid: { min: '12rem' },
      columnGap: 'clamp(8px, min(2vw, 3rem), 24px)',
      padding: { blockStart: '2cqi' },
      maxInlineSize: '70rem',
      height: { kind: 'fixed', px: '40rem', rows: 'share' },
    });
    expect(checkDocument(made).problems).toEqual([]);
  });

  test.each([
    ['9 × 13 of 12', 'does not fit into 12'],
    ['9 × 4 of 60', 'From 1 to 48 columns'],
    ['20000 × 4 of 12', 'From 1 to 10000 cards'],
    ['9 × 4 of 12, 6 under 900', '“6 under 900” is no span for narrower widths'],
    ['9 × 4 of 12, 6 below 100', 'A width is from 241 to 2560 px'],
    ['5 × 2: 6×1', 'A card of 6 columns does not fit into 5'],
    ['5 × 2: 2×2, three', '“three” is no span'],
    ['80 × 180px, 3', '“3” can’t stand beside columns that fit'],
    ['3, at most 5', 'said of columns that fit'],
    ['80 × 180px, at most many', 'write “at most 5”'],
    ['3, gap wide', 'write “gap 16”, from 0 to 400 px'],
    ['3, gap 401', 'from 0 to 400 px'],
    ['3, gap 5%', 'write “gap 16”, from 0 to 400 px'],
    ['3, gap 2em', 'write “gap 16”, from 0 to 400 px'],
    ['3, gap 40cqi', '“gap 40cqi”: A length is up to 400 px at every width; “40cqi” comes to 1024'],
    ['80 × 0cqi', 'at least 1 px at every width'],
    ['3, height 500%', 'from 1 to 400 % of the screen'],
    ['3, spans by shape soon', 'write “spans by shape”'],
    ['3, breakpoints soon', 'A width is from'],
  ])('refuses %j in words', (text, words) => {
    expect(() => readDesign(text)).toThrow(words);
  });

  test('colours the tiles and the ground', () => {
    const made = said('2, 1 with halves, fill #232B33, background #fff');
    expect(made.look.background).toBe('#ffffff');
    expect(new Set(made.order.map((id) => made.tiles[id]?.look.fill))).toEqual(new Set(['#232b33']));
    expect(() => readDesign('3, fill dark')).toThrow('write the colour as “fill #14181d”');
    expect(() => readDesign('2 × 1: 1×1, 1×1 group (3, background #fff)')).toThrow(
      'the background are those',
    );
  });
});
