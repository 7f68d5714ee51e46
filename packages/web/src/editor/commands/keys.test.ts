import { describe, expect, test } from '@jest/globals';
import { KEY_COMMANDS, keepsKeys } from './keys';

interface Pressed {
  readonly key: string;
  readonly code?: string;
  readonly ctrl?: boolean;
  readonly alt?: boolean;
  readonly shift?: boolean;
}

const pressed = ({ key, code = '', ctrl = false, alt = false, shift = false }: Pressed) =>
  ({ key, code, ctrlKey: ctrl, metaKey: false, altKey: alt, shiftKey: shift, target: null }) as KeyboardEvent;

const matching = (press: Pressed) =>
  KEY_COMMANDS.filter(({ matches }) => matches(pressed(press))).map(({ does }) => does);

const LETTERS = Array.from('abcdefghijklmnopqrstuvwxyz');
const DIGITS = Array.from({ length: 9 }, (_, k) => ({ key: String(k + 1), code: `Digit${k + 1}` }));
const NAMED = [
  'ArrowLeft',
  'ArrowRight',
  'ArrowUp',
  'ArrowDown',
  'PageUp',
  'PageDown',
  'Delete',
  'Backspace',
  'Escape',
  '[',
  ']',
  ',',
  '.',
  '?',
].map((key) => ({ key }));
const SIGNS = [
  { key: '-', code: 'Minus' },
  { key: '=', code: 'Equal' },
];
const ANY = [...LETTERS.map((key) => ({ key })), ...DIGITS, ...NAMED, ...SIGNS];

// Enter asks what has the focus, which is only known in a browser.
Object.assign(globalThis, { document: { body: {} }, HTMLElement: Map });

describe('keys', () => {
  test('none does two things', () => {
    for (const press of ANY)
      for (const ctrl of [false, true])
        for (const alt of [false, true])
          for (const shift of [false, true]) {
            const found = matching({ ...press, ctrl, alt, shift });
            expect([press.key, ctrl, alt, shift, found.length > 1 ? found : []]).toEqual([
              press.key,
              ctrl,
              alt,
              shift,
              [],
            ]);
          }
  });

  test('each that is listed is one that can be pressed, but for those that the browser handles', () => {
    const found = new Set(
      ANY.flatMap((press) =>
        [false, true].flatMap((ctrl) =>
          [false, true].flatMap((alt) =>
            [false, true].flatMap((shift) => matching({ ...press, ctrl, alt, shift })),
          ),
        ),
      ),
    );
    const rest = KEY_COMMANDS.filter(({ does }) => !found.has(does)).map(({ keys }) => keys);
    expect(rest).toEqual(['Enter', 'Ctrl + C  X  V']);
  });

  test.each([
    [{ key: 'ArrowLeft' }, 'Take the next tile in that direction'],
    [{ key: 'ArrowLeft', ctrl: true }, 'Take that one as well'],
    [{ key: 'ArrowLeft', alt: true }, 'Move by a cell'],
    [{ key: 'ArrowLeft', shift: true }, 'Grow or shrink its span'],
    [{ key: '3', code: 'Digit3' }, 'Set the column span'],
    [{ key: '#', code: 'Digit3', shift: true }, 'Set the row span'],
    [{ key: 'Z', ctrl: true, shift: true }, 'Redo'],
    [{ key: 'z', ctrl: true }, 'Undo'],
    [{ key: '_', code: 'Minus', shift: true }, 'Move the needle by 1 px, with Shift by 20'],
    [{ key: 't' }, 'Show or hide the reading order line'],
    [{ key: 'p' }, 'Pin the tile, lock it in a mosaic, begin a row with it; or free it'],
  ] as const)('%j: %s', (press, does) => {
    expect(matching(press)).toEqual([does]);
  });

  test('letters with Control, Alt or Shift are left to the browser, but for those that are listed', () => {
    for (const key of LETTERS) {
      expect(matching({ key, alt: true })).toEqual([]);
      if (!'adkz'.includes(key)) expect(matching({ key, ctrl: true })).toEqual([]);
      expect(matching({ key: key.toUpperCase(), shift: true })).toEqual([]);
    }
  });

  test('what has no element has no keys of its own', () => {
    expect(keepsKeys(null, 'a')).toBe(false);
  });
});
