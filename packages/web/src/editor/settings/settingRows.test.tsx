/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { setHereIn, setKind, type ArrangementName, type CollectionDocument } from '@noria/core';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Suspense } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { fetchAhead } from '../../ui/lazily';
import { composeStore, stats } from '../../testing/composeStore';
import { runHere } from '../here';
import { interfaceOf } from '../kinds';
import { setHereName } from '../reflow/setHereWords';
import { Settings } from './Settings';

beforeAll(() => fetchAhead());
afterEach(cleanup);

const start: CollectionDocument = {
  ...stats([
    [1, 1],
    [2, 1],
    [1, 1],
  ]),
  bands: [{ id: 'b', below: 700, arrangement: {}, tiles: {} }],
};

interface Given {
  readonly width?: number;
  readonly take?: readonly string[];
  readonly kind?: ArrangementName;
}

function open({ width = 1280, take = [], kind }: Given = {}) {
  const compose = composeStore(start, width);
  if (kind) compose.run(runHere('Arrangement', setKind(kind, 0, 'all')));
  compose.take(...take);
  render(
    <Provider store={compose.store}>
      <MemoryRouter>
        <Suspense>
          <Settings />
        </Suspense>
      </MemoryRouter>
    </Provider>,
  );
  return { ...compose, last: () => compose.steps().at(-1) };
}

const choose = (label: string, word: string) =>
  act(() => {
    const [group] = screen.getAllByRole('radiogroup', { name: label });
    fireEvent.click(within(group as HTMLElement).getByRole('radio', { name: word }));
  });
const type = (label: string, words: string) =>
  act(() => {
    const [field] = screen.getAllByRole('textbox', { name: label });
    fireEvent.focus(field as HTMLElement);
    fireEvent.change(field as HTMLElement, { target: { value: words } });
    fireEvent.keyDown(field as HTMLElement, { key: 'Enter' });
  });

describe('of the arrangement', () => {
  test.each<[string, string, object]>([
    ['Flow', 'Sparse', { flow: 'sparse' }],
    ['Cells', 'Square', { cells: 'square' }],
    ['Height', 'Screen', { height: { kind: 'screen', share: 1, rows: 'share' } }],
  ])('“%s” is set to “%s”, as one step of its name', (label, word, arrangement) => {
    const { document, last } = open();
    choose(label, word);
    expect(document().arrangement).toMatchObject(arrangement);
    expect(last()).toBe(label);
  });

  test.each<[string, string, object]>([
    ['Columns', '6', { columns: ['1fr', '1fr', '1fr', '1fr', '1fr', '1fr'] }],
    ['Gap', '24', { columnGap: 24, rowGap: 24 }],
    ['Gap', '96 / 4', { columnGap: 24, rowGap: 24 }],
  ])('“%s” takes %s', (label, words, arrangement) => {
    const { document, last } = open();
    type(label, words);
    expect(document().arrangement).toMatchObject(arrangement);
    expect(last()).toBe(label);
  });

  test('a number outside of its range changes nothing', () => {
    const { document } = open();
    type('Columns', '4000');
    expect(document().arrangement.columns).toHaveLength(4);
  });
});

describe.each<[ArrangementName, string, string, object]>([
  ['masonry', 'Direction', 'Rows', { masonry: { direction: 'inline' } }],
  ['masonry', 'Order', 'In turn', { masonry: { order: 'in-turn' } }],
  ['fan', 'Axis', 'Down', { fan: { axis: 'block' } }],
  ['fan', 'Open card', 'First', { fan: { open: 'first' } }],
  ['rows', 'Last row', 'Fill width', { rowHeights: { lastRow: 'fill-width' } }],
  ['fluid', 'Columns', 'Limit', { fluid: { max: expect.any(Number) } }],
])('of %s', (kind, label, word, arrangement) => {
  test(`“${label}” is set to “${word}”`, () => {
    const { document, last } = open({ kind });
    choose(label, word);
    expect(document().arrangement).toMatchObject(arrangement);
    expect(last()).toBe(label);
  });
});

describe('of tiles', () => {
  test.each<[string, string, object]>([
    ['Align', 'Centre', { look: { align: 'center' } }],
    ['Spread', 'Between', { look: { spread: 'between' } }],
    ['Direction', 'Row', { look: { direction: 'row' } }],
    ['Writing', 'Vertical', { look: { writingDirection: 'vertical' } }],
    ['Visibility', 'Hidden', { place: { hidden: true } }],
    ['Keep with next', 'On', { keepWithNext: true }],
    ['Entrance', 'Fade', { motion: { entrance: 'fade', hover: 'none' } }],
    ['Hover', 'Zoom', { motion: { entrance: 'none', hover: 'zoom' } }],
    ['Across', 'End', { place: { fit: { inline: 'end' } } }],
  ])('“%s” is set to “%s”', (label, word, tile) => {
    const { document } = open({ take: ['t1'] });
    choose(label, word);
    expect(document().tiles.t1).toMatchObject(tile);
  });

  test.each<[string, string, object]>([
    ['Layer', '3', { place: { layer: 3 } }],
    ['Order', '-2', { place: { order: -2 } }],
    ['Minimum width', '240', { minimumWidth: 240 }],
    ['Weight', '5', { weight: 5 }],
    ['Column span', '2', { place: { columnSpan: 2 } }],
  ])('“%s” takes %s', (label, words, tile) => {
    const { document } = open({ take: ['t1'] });
    type(label, words);
    expect(document().tiles.t1).toMatchObject(tile);
  });

  test('several are set together, and a value in which they differ is shown by none', () => {
    const { document } = open({ take: ['t1', 't2'] });
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Column span' }).value).toBe('');
    type('Layer', '2');
    expect([document().tiles.t1?.place.layer, document().tiles.t2?.place.layer]).toEqual([2, 2]);
  });

  test('what a setting takes back to what goes without saying is left out of the file', () => {
    const { document } = open({ take: ['t1'] });
    choose('Align', 'End');
    choose('Align', 'Stretch');
    expect(document().tiles.t1?.look.align).toBeUndefined();
  });
});

describe('in a narrower band', () => {
  test.each<[string, string, readonly string[]]>([
    ['Flow', 'Sparse', []],
    ['Visibility', 'Hidden', ['t1']],
    ['Align', 'End', ['t1']],
  ])(
    '“%s” is set there alone, is marked and listed by its name, and inherited again',
    (label, word, take) => {
      const { document } = open({ width: 600, take });
      const before = document();
      choose(label, word);
      const [set] = setHereIn(document(), 1);
      expect(set && setHereName(document(), set)).toMatch(new RegExp(`^${label}`));
      expect(document().arrangement).toEqual(before.arrangement);
      const drop = screen.getByRole('button', { name: `${label}: inherit from the wider band again` });
      act(() => void fireEvent.click(drop));
      expect(setHereIn(document(), 1)).toEqual([]);
      expect(
        screen.queryByRole('button', { name: `${label}: inherit from the wider band again` }),
      ).toBeNull();
    },
  );
});

test('every kind has settings that can be shown, each control with a name', () => {
  for (const kind of ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'] as const) {
    open({ kind });
    for (const role of ['textbox', 'radiogroup', 'button', 'combobox', 'slider'] as const) {
      for (const control of screen.queryAllByRole(role)) {
        const named = within(document.body).queryAllByRole(role, { name: /\S/ });
        expect(named).toContain(control);
      }
    }
    expect(interfaceOf({ kind }).Settings).toBeDefined();
    cleanup();
  }
});
