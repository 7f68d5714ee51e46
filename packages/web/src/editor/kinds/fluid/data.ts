import type { KindData } from '../kindData';

export const fluid: KindData = {
  name: 'Fluid',
  says: 'As many columns as fit; tiles flow through them',
  column: 'column',
};
