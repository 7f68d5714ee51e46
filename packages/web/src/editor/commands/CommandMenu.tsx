import { PointMenu, type MenuEntry } from '../../ui/PointMenu';
import { useAppDispatch, useAppStore } from '../hooks';
import { keyWords } from './command';
import { COMMANDS } from './registry';
import type { NamedCommand } from './words';

interface CommandMenuProps {
  readonly name: string;
  readonly at: { readonly x: number; readonly y: number };
  readonly of: readonly (readonly NamedCommand[])[];
  /** What comes before the commands; left out: nothing. */
  readonly first?: readonly MenuEntry[];
  readonly onClose: () => void;
}

/** A menu of those commands that make sense now. */
export function CommandMenu({ name, at, of, first = [], onClose }: CommandMenuProps) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const groups = of.map((ids) =>
    ids
      .map((id) => COMMANDS[id])
      .filter(({ applies }) => applies?.(store.getState()) ?? true)
      .map((command) => ({
        id: command.id,
        words: command.words,
        icon: command.icon,
        keys: keyWords(command),
        run: () => void dispatch(command.run()),
      })),
  );
  return <PointMenu name={name} at={at} groups={[first, ...groups]} onClose={onClose} />;
}
