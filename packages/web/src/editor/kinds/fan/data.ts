import { fanEdge } from './fanEdge';
import type { KindData } from '../kindData';

export const fan: KindData = {
  name: 'Fan',
  says: 'Cards over each other, each showing a strip',
  column: null,
  edge: fanEdge,
};
