import type { ComponentProps } from 'react';
import { Button } from '../../ui/Button';
import { useAppDispatch, useAppSelector } from '../hooks';
import { keyWords } from './command';
import { COMMANDS } from './registry';
import type { NamedCommand } from './words';

interface CommandButtonProps extends Omit<ComponentProps<typeof Button>, 'onClick'> {
  readonly command: NamedCommand;
}

/** A button that runs a command: its words, its keys on pointing, and whether it makes sense now come from there. */
export function CommandButton({ command: id, children, disabled, ...rest }: CommandButtonProps) {
  const dispatch = useAppDispatch();
  const command = COMMANDS[id];
  const applies = useAppSelector((state) => command.applies?.(state) ?? true);
  const keys = keyWords(command);
  return (
    <Button
      disabled={disabled === true || !applies}
      title={keys === null ? undefined : `${command.words} (${keys})`}
      onClick={() => dispatch(command.run())}
      {...rest}
    >
      {children ?? command.words}
    </Button>
  );
}
