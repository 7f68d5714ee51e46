/** @jest-environment jsdom */
import '../../testing/browser';
import { describe, expect, test } from '@jest/globals';
import { composeStore, stats } from '../../testing/composeStore';
import { tilesSelected } from '../editorSlice';
import { isPressed, keyWords } from './command';
import { keepsKeys } from './keepsKeys';
import { allCommands } from './allCommands';
import { COMMANDS } from './registry';
import { pressedCommand } from './useKeys';

interface Pressed {
  readonly key: string;
  readonly code?: string;
  readonly ctrl?: boolean;
  readonly alt?: boolean;
  readonly shift?: boolean;
}

const press = ({ key, code = '', ctrl = false, alt = false, shift = false }: Pressed) =>
  new KeyboardEvent('keydown', { key, code, ctrlKey: ctrl, altKey: alt, shiftKey: shift });

const matching = (pressed: Pressed) =>
  Object.values(COMMANDS)
    .filter((command) => isPressed({ ...command, presses: () => true }, press(pressed)))
    .map(({ id }) => id);

const LETTERS = Array.from('abcdefghijklmnopqrstuvwxyz');
const NAMED = [
  ...['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'PageUp', 'PageDown'],
  ...['Delete', 'Backspace', 'Escape', 'Enter', '[', ']', ',', '.', '?'],
].map((key) => ({ key }));
const DIGITS = Array.from({ length: 9 }, (_, k) => ({ key: String(k + 1), code: `Digit${k + 1}` }));
const SIGNS = [
  { key: '-', code: 'Minus' },
  { key: '=', code: 'Equal' },
];
const ANY: readonly Pressed[] = [...LETTERS.map((key) => ({ key })), ...DIGITS, ...NAMED, ...SIGNS];
const HELD = [false, true].flatMap((ctrl) =>
  [false, true].flatMap((alt) => [false, true].map((shift) => ({ ctrl, alt, shift }))),
);

describe('commands', () => {
  test('each has an id and words of its own, and says what it does', () => {
    const all = allCommands();
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    expect(new Set(all.map(({ words }) => words)).size).toBe(all.length);
    for (const { words } of all) expect(words).toMatch(/^[A-Z][^.]*$/);
  });

  test('no press does two things', () => {
    for (const pressed of ANY)
      for (const held of HELD) {
        const found = matching({ ...pressed, ...held });
        expect({ pressed, held, found }).toEqual({ pressed, held, found: found.slice(0, 1) });
      }
  });

  test('each that has keys can be pressed', () => {
    const found = new Set(
      ANY.flatMap((pressed) => HELD.flatMap((held) => matching({ ...pressed, ...held }))),
    );
    const rest = Object.values(COMMANDS).filter(({ id, keys }) => keys !== undefined && !found.has(id));
    expect(rest.map(({ id }) => id)).toEqual([]);
  });

  test.each([
    [{ key: 'ArrowLeft' }, 'selectNext'],
    [{ key: 'ArrowLeft', ctrl: true }, 'selectMore'],
    [{ key: 'ArrowLeft', alt: true }, 'move'],
    [{ key: 'ArrowLeft', shift: true }, 'grow'],
    [{ key: '3', code: 'Digit3' }, 'setColumnSpan'],
    [{ key: '#', code: 'Digit3', shift: true }, 'setRowSpan'],
    [{ key: 'Z', ctrl: true, shift: true }, 'redo'],
    [{ key: 'z', ctrl: true }, 'undo'],
    [{ key: '_', code: 'Minus', shift: true }, 'needleLeft'],
    [{ key: 't' }, 'readingOrder'],
    [{ key: 'p' }, 'pin'],
    [{ key: '?', shift: true }, 'keySheet'],
  ] as const)('%j: %s', (pressed, id) => {
    expect(matching(pressed)).toEqual([id]);
    expect(pressedCommand(press(pressed))?.id).toBe(id);
  });

  test('letters with Control, Alt or Shift are left to the browser, but for those that are listed', () => {
    for (const key of LETTERS) {
      expect(matching({ key, alt: true })).toEqual([]);
      if (!'adkyz'.includes(key)) expect(matching({ key, ctrl: true })).toEqual([]);
      expect(matching({ key: key.toUpperCase(), shift: true })).toEqual([]);
    }
  });

  test.each([
    ['duplicate', 'Ctrl + D'],
    ['redo', 'Ctrl + Shift + Z'],
    ['pin', 'p'],
    ['forward', 'PageUp'],
    ['setRowSpan', 'Shift + 1 … 9'],
    ['needleLeft', '-'],
    ['swap', null],
  ] as const)('%s is written %s', (id, words) => {
    expect(keyWords(COMMANDS[id])).toBe(words);
  });

  test('those of tiles apply where some are selected, those of groups where a group is', () => {
    const { store } = composeStore(
      stats([
        [1, 1],
        [1, 1],
      ]),
    );
    const applying = () =>
      Object.values(COMMANDS)
        .filter(({ applies }) => applies?.(store.getState()) ?? true)
        .map(({ id }) => id);
    expect(applying()).not.toContain('duplicate');
    store.dispatch(tilesSelected(['t1', 't2']));
    expect(applying()).toEqual(expect.arrayContaining(['duplicate', 'swap', 'deselect']));
    expect(applying()).not.toContain('ungroup');
    store.dispatch(COMMANDS.group.run());
    expect(applying()).toEqual(expect.arrayContaining(['ungroup', 'openGroup', 'undo']));
    expect(applying()).not.toContain('swap');
    // Every step bears the words of the command that made it.
    store.dispatch(COMMANDS.ungroup.run());
    expect(store.getState().document.past.map(({ name }) => name)).toEqual(['Group', 'Ungroup']);
  });

  test('a panel is shown by its name, and closed by its key as well', () => {
    const { store } = composeStore(stats([[1, 1]]));
    const showing = () => store.getState().editor.showing;
    store.dispatch(COMMANDS.findings.run());
    store.dispatch(COMMANDS.findings.run());
    expect(showing()).toBe('findings');
    store.dispatch(COMMANDS.findings.run(press({ key: 'f' })));
    expect(showing()).toBeNull();
  });

  test('what has no element has no keys of its own', () => {
    expect(keepsKeys(null, 'a')).toBe(false);
  });
});
