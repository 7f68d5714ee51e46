import { expect, test } from '@jest/globals';
import {
  assignArea,
  change,
  setArrangement,
  setBreakBefore,
  setFit,
  setHereIn,
  setHidden,
  setKind,
  setLayer,
  setOfKind,
  setOrder,
  setPin,
  setSlots,
  setSpan,
  type CollectionDocument,
  type Command,
} from '@noria/core';
import { stats } from '../../testing/composeStore';
import { setHereName, setHereValue } from './setHereWords';

const start: CollectionDocument = {
  ...stats([
    [1, 1],
    [2, 1],
    [1, 1],
  ]),
  bands: [{ id: 'b', below: 700, arrangement: {}, tiles: {} }],
};
const words = (...commands: Command[]) => {
  const document = commands.reduce((made, command) => change(made, command).document, start);
  return setHereIn(document, 1).map((each) => `${setHereName(document, each)}: ${setHereValue(each)}`);
};

test.each<[string, Command, string]>([
  ['kind', setKind('masonry', 1, 'band'), 'Arrangement: masonry'],
  ['columns', setArrangement({ columns: ['1fr', '1fr'] }, 1, 'band'), 'Columns: 2'],
  ['rows', setArrangement({ rows: ['90px'] }, 1, 'band'), 'Rows: 1'],
  ['gap', setArrangement({ columnGap: 4 }, 1, 'band'), 'Column gap: 4'],
  ['flow', setArrangement({ flow: 'dense' }, 1, 'band'), 'Flow: dense'],
  ['cells', setArrangement({ cells: 'square' }, 1, 'band'), 'Cells: square'],
  ['height', setArrangement({ height: { kind: 'fixed', px: 400 } }, 1, 'band'), 'Height: fixed'],
  ['lanes by number', setOfKind('masonry', { count: 2 }, 1, 'band'), 'Lanes: 2'],
  ['lanes by width', setOfKind('masonry', { count: null, min: 180 }, 1, 'band'), 'Lanes: at least 180 px'],
  ['rows of a gallery', setOfKind('rowHeights', { target: 200 }, 1, 'band'), 'Row height: near 200 px'],
  ['modules', setOfKind('mosaic', { count: 6 }, 1, 'band'), 'Modules: 6'],
  ['a fan', setOfKind('fan', { axis: 'block' }, 1, 'band'), 'Cards: block, 420 × 480'],
  ['fluid columns', setOfKind('fluid', { min: 240 }, 1, 'band'), 'Fluid columns: auto-fit, 240 px'],
  ['a break', setBreakBefore(['t2'], true, 1, 'band'), 'Row break of Stat 2: begins a row'],
  [
    'a lock',
    setSlots({ t2: { column: 3, row: 2, columnSpan: 1, rowSpan: 1 } }, 1),
    'Slot of Stat 2: column 3, row 2',
  ],
  [
    'a span',
    setSpan({ tiles: ['t2'], band: 1, setFor: 'band', columnSpan: 4, rowSpan: 2 }),
    'Span of Stat 2: 4 × 2',
  ],
  ['a pin', setPin(['t1'], 1, { column: 2, row: 1 }), 'Pin of Stat 1: column 2, row 1'],
  ['a layer', setLayer(['t1'], 3, 1, 'band'), 'Layer of Stat 1: 3'],
  ['order', setOrder(['t1'], 5, 1, 'band'), 'Order of Stat 1: 5'],
  ['hidden', setHidden(['t3'], true, 1, 'band'), 'Visibility of Stat 3: hidden'],
  ['an area', assignArea(['t1'], 'side', 1, 'band'), 'Area of Stat 1: side'],
])('%s is named, and its value said in few words', (_, command, said) => {
  expect(words(command)).toContain(said);
});

test('padding is said by its sides, once where they are alike', () => {
  const padding = (blockStart: number, rest: number) =>
    setArrangement(
      { padding: { blockStart, inlineEnd: rest, blockEnd: rest, inlineStart: rest } },
      1,
      'band',
    );
  expect(words(padding(8, 8))).toEqual(['Padding: 8']);
  expect(words(padding(4, 8))).toEqual(['Padding: 4 8 8 8']);
});

test('how a tile fills its cells is said by both ways', () => {
  expect(words(setFit(['t1'], { inline: 'center' }, 1, 'band'))).toEqual(['Fit of Stat 1: centre, stretch']);
});
