import { Row, type RowProps } from '../../ui/Rows';
import { SetLength, type SetLengthProps } from './SetLength';

type LengthRowProps = Pick<RowProps, 'setHere' | 'onInherit'> & Omit<SetLengthProps, 'name'>;

/** A row with one length of the collection. */
export function LengthRow({ setHere = false, onInherit, ...length }: LengthRowProps) {
  const { label, help } = length.field;
  return (
    <Row label={label} setHere={setHere} {...(help && { help })} {...(onInherit && { onInherit })}>
      <SetLength {...length} name={null} />
    </Row>
  );
}
