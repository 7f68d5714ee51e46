import type { Command } from '@noria/core';
import { useAppDispatch } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import type { Field } from '../fields/field';
import { runHere, tryHere } from '../here';

export interface SetNumberProps {
  readonly field: Field & Required<Pick<Field, 'least' | 'most'>>;
  /** What this one is called, where a field has several; null: the label of its row. Left out: the field’s. */
  readonly name?: string | null;
  /** Where it tells more than the field’s. */
  readonly unit?: string;
  readonly value: number | null;
  readonly whole?: boolean;
  readonly by?: number;
  readonly basis?: number;
  readonly command: (value: number) => Command;
}

/** A number of the collection: a drag shows its result on the stage, and is one step when it is let go. */
export function SetNumber({
  field,
  name = field.label,
  unit = field.unit,
  command,
  ...number
}: SetNumberProps) {
  const dispatch = useAppDispatch();
  return (
    <NumberField
      {...number}
      {...(name !== null && { name })}
      {...(unit !== undefined && { unit })}
      least={field.least}
      most={field.most}
      onSet={(value) => dispatch(runHere(field.label, command(value)))}
      onTry={(value) => dispatch(tryHere(value === null ? null : command(value)))}
    />
  );
}
