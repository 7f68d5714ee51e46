import type { KindData } from '../kindData';

export const mosaic: KindData = {
  name: 'Mosaic',
  says: 'Pictures on small square modules, without a hole',
  column: 'module',
};
