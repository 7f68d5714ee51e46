import type { ComponentProps } from 'react';
import { useName } from './Rows';

/** A plain field that is called by the label of its row. */
export function NamedInput(props: ComponentProps<'input'>) {
  return <input {...useName(undefined)} {...props} />;
}
