import { Row, type RowProps } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import type { ChoiceField } from '../fields/field';

interface ChoiceRowProps<V extends string> extends Pick<RowProps, 'setHere' | 'onInherit'> {
  readonly field: ChoiceField<V>;
  /** Null: several values, none shown. */
  readonly value: V | null;
  readonly onChoose: (value: V) => void;
}

/** A row with a setting that is chosen by words. */
export function ChoiceRow<V extends string>({ field, value, onChoose, ...inherited }: ChoiceRowProps<V>) {
  return (
    <Row label={field.label} {...(field.help && { help: field.help })} {...inherited}>
      <Segments<V | ''>
        value={value ?? ''}
        choices={field.choices}
        onChoose={(chosen) => chosen !== '' && onChoose(chosen)}
      />
    </Row>
  );
}
