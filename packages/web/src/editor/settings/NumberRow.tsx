import { Row, type RowProps } from '../../ui/Rows';
import { SetNumber, type SetNumberProps } from './SetNumber';

type NumberRowProps = Pick<RowProps, 'setHere' | 'onInherit'> & Omit<SetNumberProps, 'name'>;

/** A row with one number of the collection. */
export function NumberRow({ setHere = false, onInherit, ...number }: NumberRowProps) {
  const { label, help } = number.field;
  return (
    <Row label={label} setHere={setHere} {...(help && { help })} {...(onInherit && { onInherit })}>
      <SetNumber {...number} name={null} />
    </Row>
  );
}
