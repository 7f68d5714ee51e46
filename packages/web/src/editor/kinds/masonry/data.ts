import type { KindData } from '../kindData';

export const masonry: KindData = {
  name: 'Masonry',
  says: 'Lanes of one width; tiles keep their own height',
  column: 'lane',
};
