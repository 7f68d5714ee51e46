import { arrangementKinds } from '../../arrangements/index.js';
import type { Declarations } from '../../engine/css/rule.js';

/** What CSS has for the properties that all kinds write before anybody says anything. */
const INITIAL: Declarations = {
  'grid-template-columns': 'none',
  'grid-template-rows': 'none',
  'grid-auto-flow': 'row',
  'grid-template-areas': 'none',
  'max-inline-size': 'none',
  'max-block-size': 'none',
  'min-block-size': '0',
  'justify-self': 'auto',
  'align-self': 'auto',
  'inline-size': 'auto',
  'block-size': 'auto',
  'z-index': '0',
  order: '0',
  'grid-column': 'span 1',
  'grid-row': 'span 1',
  'grid-auto-rows': 'auto',
  'align-items': 'normal',
  'margin-block-end': '0',
  'padding-block-end': '0',
  'aspect-ratio': 'auto',
  content: 'none',
};

/** With what single kinds write beside that. */
export const initialValues = (): Declarations =>
  Object.assign({}, INITIAL, ...arrangementKinds().map(({ initial }) => initial)) as Declarations;
