import { matchKeyBindingPress, parseKeybinding } from 'tinykeys';
import type { LucideIcon } from 'lucide-react';
import type { AppThunk, RootState } from '../state';

/** Under which heading of the key sheet a command is found. */
export const GROUPS = [
  'Selection',
  'Place',
  'Tiles',
  'Groups and recipes',
  'Grid',
  'Width',
  'Show',
  'Everywhere',
] as const;

export type CommandGroup = (typeof GROUPS)[number];

/** What can be done in the editor by its name or by keys. */
export interface EditorCommand {
  readonly id: string;
  readonly words: string;
  /** What a menu says beside it. */
  readonly about?: string;
  readonly group: CommandGroup;
  readonly icon?: LucideIcon;
  /** Each as `$mod+d`, `Shift+ArrowLeft` or, by where it lies on the keyboard, `Shift+Digit3`. */
  readonly keys?: readonly string[];
  /** Many keys in one word; left out: each is written. */
  readonly keysAs?: string;
  /** A press that these hold is another’s: Enter presses the button that has the focus. */
  readonly presses?: (event: KeyboardEvent) => boolean;
  /** Whether it makes sense now; left out: always. */
  readonly applies?: (state: RootState) => boolean;
  /** Whether its keys are its own while words are typed, too. */
  readonly whileTyping?: true;
  /** Whether it is one that only keys say, with what was pressed, or that the browser does. */
  readonly isListed?: false;
  /** @param event the press, where it was one */
  readonly run: (event?: KeyboardEvent) => AppThunk<unknown>;
}

/** Whether a press is one of a command’s. */
export const isPressed = ({ keys = [], presses }: EditorCommand, event: KeyboardEvent): boolean =>
  keys.some((binding) => {
    const [press] = parseKeybinding(binding);
    return press !== undefined && matchKeyBindingPress(event, press);
  }) &&
  (presses?.(event) ?? true);

const NAMES: Readonly<Record<string, string>> = {
  $mod: 'Ctrl',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  Minus: '-',
  Equal: '=',
};

/** A command’s keys as they are written on screen: “Ctrl + D”; null where it has none. */
export function keyWords({ keys = [], keysAs }: EditorCommand): string | null {
  if (keysAs !== undefined) return keysAs;
  const [first] = keys;
  if (first === undefined) return null;
  return first
    .split('+')
    .map((part) => NAMES[part] ?? (part.length === 1 && first.includes('+') ? part.toUpperCase() : part))
    .join(' + ');
}
