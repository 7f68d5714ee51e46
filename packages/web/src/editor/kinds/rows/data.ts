import type { KindData } from '../kindData';

export const rows: KindData = {
  name: 'Rows',
  says: 'Rows of pictures of one height, each as wide as the page',
  column: null,
};
