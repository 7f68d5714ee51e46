import type { KindData } from '../kindData';

export const bento: KindData = {
  name: 'Bento',
  says: 'Columns and rows that tiles span',
  column: 'column',
  isPlain: true,
};
