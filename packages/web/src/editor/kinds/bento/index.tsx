import { setPin } from '@noria/core';
import { early } from '../../../ui/lazily';
import { ColumnsGiven } from '../ColumnsGiven';
import { cellWords, spanWords } from '../inCells';
import type { KindInterface } from '../kind';

export const bento: KindInterface = {
  Settings: early(() => import('./BentoSettings').then((file) => file.BentoSettings)),
  Gives: () => <ColumnsGiven word="column" />,
  spans: 'cells',
  holding: {
    by: 'pin',
    label: 'Place',
    free: 'Free',
    held: 'Pinned',
    command: (tiles, laid, band, _, holds) => (draft) =>
      tiles.forEach(({ id }) => {
        const at = laid.get(id);
        setPin([id], band, holds && at ? { column: at.column, row: at.row } : null)(draft);
      }),
    step: (holds) => (holds ? 'Pin' : 'Unpin'),
    said: (holds) => (holds ? 'pinned here' : 'free, flowing in order'),
  },
  hasAreas: true,
  listsColumns: true,
  where: ({ at, place }) => `${cellWords(at)}${place.pin ? ', pinned' : ''}`,
  takes: ({ at, place }) => `${spanWords(at)}${place.pin ? ' pinned' : ''}`,
  grips: () => 'all',
};
