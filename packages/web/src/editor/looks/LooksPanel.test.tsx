/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { setLook, type CollectionDocument } from '@noria/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { runHere } from '../here';
import { LooksPanel } from './LooksPanel';

afterEach(cleanup);

const start: CollectionDocument = {
  ...stats([
    [1, 1],
    [2, 1],
  ]),
  namedLooks: {
    moss: { id: 'moss', name: 'Moss', kind: 'colour', value: '#24413f' },
    card: { id: 'card', name: 'Card', kind: 'radius', value: 14 },
  },
};

function open() {
  const compose = composeStore(start);
  compose.run(runHere('Fill', setLook(['t1'], { fill: '{moss}', radius: '{card}' })));
  render(
    <Provider store={compose.store}>
      <LooksPanel />
    </Provider>,
  );
  return compose;
}
const press = (name: string | RegExp) =>
  act(() => void fireEvent.click(screen.getByRole('button', { name })));
const looks = (document: CollectionDocument) => Object.values(document.namedLooks ?? {});
const take = async (name: string, text: string) => {
  const file = Object.assign(new File([text], name), { text: () => Promise.resolve(text) });
  await act(async () => {
    fireEvent.change(screen.getByTestId('tokens-file'), { target: { files: [file] } });
    await Promise.resolve();
  });
};

test('a named look is changed once, and what follows it goes on following', () => {
  const { document } = open();
  const field = screen.getByRole('textbox', { name: 'Card' });
  act(() => {
    fireEvent.change(field, { target: { value: '20' } });
    fireEvent.keyDown(field, { key: 'Enter' });
  });
  expect(document().namedLooks?.card).toMatchObject({ value: 20 });
  expect(document().tiles.t1?.look.radius).toBe('{card}');
});

test('a name is typed, and typing is one step', () => {
  const { document, steps } = open();
  const field = screen.getByRole('textbox', { name: 'Name of Moss' });
  for (const value of ['F', 'Fi', 'Fir']) act(() => void fireEvent.change(field, { target: { value } }));
  expect(document().namedLooks?.moss?.name).toBe('Fir');
  expect(steps()).toEqual(['Fill', 'Named look']);
});

test.each([
  ['Add colour', 'colour'],
  ['Add radius', 'radius'],
  ['Add type size', 'type'],
  ['Add space', 'space'],
])('“%s” adds one of its kind', (name, kind) => {
  const { document } = open();
  press(name);
  expect(looks(document())).toHaveLength(3);
  expect(looks(document()).at(-1)).toMatchObject({ kind });
});

test('one that is removed leaves its value to what followed it; the button says how many do', () => {
  const { document } = open();
  press('Remove Moss; the 1 that follow it keep its value');
  expect(document().namedLooks?.moss).toBeUndefined();
  expect(document().tiles.t1?.look.fill).toBe('#24413f');
});

test('a palette of one colour is applied to the background and the plain tiles', () => {
  const { document, said } = open();
  press('Apply palette');
  expect(document().look.background).toBe('{background}');
  expect(document().namedLooks?.background).toMatchObject({ kind: 'colour' });
  expect(document().tiles.t2?.look.fill).toMatch(/^\{/);
  expect(said()).toContain('The palette is applied.');
});

test('design tokens are imported; what is none is left out, and said', async () => {
  const { document, said, warned } = open();
  const tokens = {
    fir: { $type: 'color', $value: '#123456' },
    x: { $type: 'shadow', $value: 'none' },
  };
  await take('brand.json', JSON.stringify(tokens));
  expect(looks(document()).map(({ name }) => name)).toContain('fir');
  expect(said()).toBe('One named look was imported from brand.json.');
  expect(warned()).toContain('Left out:');
});

test('a file that is no JSON, and one without values, are refused in words and change nothing', async () => {
  const { document, warned, steps } = open();
  await take('broken.json', '{');
  expect(warned()).toContain('“broken.json” is not JSON');
  await take('empty.json', '{}');
  expect(warned()).toContain('“empty.json” holds no colours and no lengths.');
  expect(looks(document())).toHaveLength(2);
  expect(steps()).toEqual(['Fill']);
});

test('a type scale gives named sizes that the collection follows, in one step', () => {
  const { document, steps } = open();
  const base = screen.getByRole('textbox', { name: 'Text size, at 1280 px' });
  act(() => {
    fireEvent.change(base, { target: { value: '18' } });
    fireEvent.keyDown(base, { key: 'Enter' });
  });
  press('Apply type scale');
  expect(document().namedLooks?.text).toMatchObject({ kind: 'type', value: { from: 15, to: 18 } });
  expect(document().look).toMatchObject({ bodySize: '{text}', headingSize: '{heading}' });
  expect(steps().at(-1)).toBe('Type scale');
});
