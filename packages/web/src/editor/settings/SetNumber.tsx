import type { Command } from '@noria/core';
import { useAppDispatch } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { runHere, tryHere } from '../here';

interface SetNumberProps {
  readonly name: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly unit?: string;
  readonly whole?: boolean;
  readonly by?: number;
  readonly basis?: number;
  /** The step’s name in the history. */
  readonly step: string;
  readonly command: (value: number) => Command;
}

/** A number of the collection: a drag shows its result on the stage, and is one step when it is let go. */
export function SetNumber({ step, command, ...field }: SetNumberProps) {
  const dispatch = useAppDispatch();
  return (
    <NumberField
      {...field}
      onSet={(value) => dispatch(runHere(step, command(value)))}
      onTry={(value) => dispatch(tryHere(value === null ? null : command(value)))}
    />
  );
}
