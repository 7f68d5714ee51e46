import { expect, test } from '@jest/globals';
import { checkDocument } from '../../check/checkDocument.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { change } from '../../edit/patch/change.js';
import { pageCss } from '../../export/page/pageCss.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { rowSizesOf } from './rowSizes.js';
import type { ArrangementValues, GridHeight } from '../../document/types.js';

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
