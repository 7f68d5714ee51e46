import { expect, test } from '@jest/globals';
import { checkDocument } from '../../check/checkDocument.js';
import { setArrangement, setTrack } from '../../edit/commands/arrangement.js';
import { evenTracks, moveBoundary } from '../../edit/commands/tracks.js';
import { change } from '../../edit/patch/change.js';
import { pageCss } from '../../export/page/pageCss.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { rowAsShare, rowSizesOf, shareAsRow, shareOfRows } from './rowSizes.js';
import type { ArrangementValues, CollectionDocument, GridHeight } from '../../document/types.js';

const FIXED: GridHeight = { kind: 'fixed', px: 700, rows: 'share' };

test.each<[string, Pick<ArrangementValues, 'rows' | 'autoRows' | 'height'>, object]>([
  [
    'px become shares',
    { rows: [], autoRows: '160px', height: FIXED },
    { rows: [], autoRows: 'minmax(auto, 1fr)' },
  ],
  [
    'in proportion',
    { rows: ['80px', '240px'], autoRows: '160px', height: FIXED },
    { rows: ['minmax(auto, 0.5fr)', 'minmax(auto, 1.5fr)'], autoRows: 'minmax(auto, 1fr)' },
  ],
  [
    'what is by its content stays',
    { rows: ['auto', '80px'], autoRows: '80px', height: FIXED },
    { rows: ['auto', 'minmax(auto, 1fr)'], autoRows: 'minmax(auto, 1fr)' },
  ],
  [
    'px beside shares stay',
    { rows: ['80px', '1fr'], autoRows: '80px', height: FIXED },
    { rows: ['80px', '1fr'], autoRows: '80px' },
  ],
  ['nothing without a height', { rows: [], autoRows: '160px' }, { rows: [], autoRows: '160px' }],
  [
    'nothing where they keep their sizes',
    { rows: [], autoRows: '160px', height: { kind: 'fixed', px: 700 } },
    { rows: [], autoRows: '160px' },
  ],
])('of rows that share a height %s', (_, rows, sizes) => {
  expect(rowSizesOf(rows)).toEqual(sizes);
});

test('rows fill a height that is given, on the stage and in the page, and are what they were without it', () => {
  const base = sample(
    [
      [2, 1],
      [2, 1],
      [2, 1],
    ],
    2,
  );
  const plain = {
    autoRows: '160px',
    rowGap: 20,
    padding: { blockStart: 30, inlineEnd: 0, blockEnd: 30, inlineStart: 0 },
  };
  const made = (height: GridHeight) => change(base, setArrangement({ ...plain, height }, 0, 'all')).document;
  const rowsOf = (height: GridHeight) =>
    layoutCollection(made(height), 1280, { measurer: LETTERS, screenBlockSize: 1000 }).rows.map(
      ({ size }) => size,
    );
  expect(checkDocument(made(FIXED)).problems).toEqual([]);
  expect(rowsOf(FIXED)).toEqual([200, 200, 200]);
  expect(rowsOf({ kind: 'screen', share: 1, rows: 'share' })).toEqual([300, 300, 300]);
  expect(rowsOf({ kind: 'content' })).toEqual([160, 160, 160]);
  expect(pageCss(made(FIXED), () => '', LETTERS)).toContain('grid-auto-rows: minmax(auto, 1fr)');
});

test('a row that shares a height counts in shares, and takes them', () => {
  const rows = { rows: ['80px', 'auto'], autoRows: '160px', height: FIXED };
  const one = shareOfRows(rows);
  expect(one).toBe(160);
  expect([rowAsShare('80px', one), rowAsShare('auto', one)]).toEqual(['0.5fr', 'auto']);
  expect([shareAsRow('1.5fr', one), shareAsRow('90px', one)]).toEqual(['240px', '90px']);
  expect(shareOfRows({ ...rows, height: { kind: 'fixed', px: 700 } })).toBeNull();
  expect(shareOfRows({ ...rows, rows: ['2fr'] })).toBeNull();
  const document = change(sample([[1, 1]], 1), setArrangement(rows, 0, 'band')).document;
  const set = change(
    document,
    setTrack({ axis: 'row', index: 0, size: '2fr', band: 0, setFor: 'band' }),
  ).document;
  expect(set.arrangement.rows).toEqual(['320px', 'auto']);
});

test('the edge between rows that share a height passes on from one to the other', () => {
  const rows = { rows: [], autoRows: '160px', height: FIXED, rowGap: 0 };
  const document = change(
    sample(
      [
        [1, 1],
        [1, 1],
      ],
      1,
    ),
    setArrangement(rows, 0, 'band'),
  ).document;
  const sizesIn = (of: CollectionDocument) =>
    layoutCollection(of, 1280, { measurer: LETTERS }).rows.map(({ size }) => size);
  const before = sizesIn(document);
  const at = { axis: 'row', band: 0, setFor: 'band', sizes: before } as const;
  const moved = change(document, moveBoundary({ ...at, index: 0, by: 40 })).document;
  const [first = 0, second = 0] = sizesIn(moved);
  expect([first - (before[0] ?? 0), second - (before[1] ?? 0)].map(Math.round)).toEqual([40, -40]);
  expect(moved.arrangement.rows).toHaveLength(2);
});

test('rows that are made equal share a height that is given', () => {
  const height: GridHeight = { kind: 'screen', share: 1 };
  const document = change(
    sample([[1, 1]], 1),
    setArrangement({ rows: ['80px', '240px'], height }, 0, 'band'),
  ).document;
  const made = change(document, evenTracks({ axis: 'row', band: 0, setFor: 'band' })).document;
  expect(made.arrangement.height).toEqual({ ...height, rows: 'share' });
  const sizes = layoutCollection(made, 1280, { measurer: LETTERS }).rows.map(({ size }) => Math.round(size));
  expect(new Set(sizes).size).toBe(1);
});
