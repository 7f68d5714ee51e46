import type { InputHTMLAttributes } from 'react';
import { useName } from './Rows';

/** A plain field that is called by the label of its row. */
export function NamedInput(props: InputHTMLAttributes<HTMLInputElement>) {
  return <input {...useName(undefined)} {...props} />;
}
