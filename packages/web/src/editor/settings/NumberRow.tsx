import type { ComponentProps } from 'react';
import { Row } from '../../ui/Rows';
import { SetNumber } from './SetNumber';

type NumberRowProps = Omit<ComponentProps<typeof Row>, 'children'> & ComponentProps<typeof SetNumber>;

/** A row with one number of the collection. */
export function NumberRow({ label, setHere = false, onCarry, ...number }: NumberRowProps) {
  return (
    <Row label={label} setHere={setHere} {...(onCarry && { onCarry })}>
      <SetNumber {...number} />
    </Row>
  );
}
