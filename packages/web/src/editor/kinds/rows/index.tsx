import { setBreakBefore, type WrittenLength } from '@noria/core';
import { WrapText } from 'lucide-react';
import { useAppSelector } from '../../hooks';
import { selectLayout } from '../../selectors';
import { count, lengthWords } from '../../../ui/words';
import { beside, early } from '../../../ui/lazily';
import { pxWords } from '../inCells';
import type { KindInterface } from '../kind';

/** “Six rows of 214–250”. */
function RowsGiven() {
  const { rows } = useAppSelector(selectLayout);
  const sizes = rows.map(({ size }) => Math.round(size));
  if (sizes.length === 0) return 'No rows';
  const [least, most] = [Math.min(...sizes), Math.max(...sizes)];
  return (
    <>
      {count(sizes.length, 'row')} of{' '}
      <span className="figures">{least === most ? least : `${least}–${most}`}</span>
    </>
  );
}

export const rows: KindInterface = {
  Settings: early(() => import('./RowsSettings').then((file) => file.RowsSettings)),
  Gives: RowsGiven,
  values: {
    of: 'rowHeights',
    label: 'Row height',
    says: (value) => `near ${lengthWords((value as { readonly target: WrittenLength }).target)}`,
  },
  spans: 'none',
  holding: {
    by: 'breakBefore',
    label: 'Row break',
    free: 'None',
    held: 'Before the tile',
    command: (tiles, _, band, setFor, holds) =>
      setBreakBefore(
        tiles.map(({ id }) => id),
        holds,
        band,
        setFor,
      ),
    step: () => 'Row break',
    said: (holds) => (holds ? 'beginning a row' : 'flowing in order'),
    Sign: () => WrapText,
  },
  noGaps: {
    title: 'Rows have no holes',
    says: 'Every row is as wide as the page. The arrangement’s settings say how high rows are and what becomes of the last one.',
  },
  where: ({ at, place }) => `row ${at.row}${place.breakBefore ? ', which it begins' : ''}`,
  takes: ({ at, place }) => `${pxWords(at)}${place.breakBefore ? ', begins a row' : ''}`,
  grips: () => 'none',
  Overlay: beside(() => import('./RowEdges').then((file) => file.RowEdges)),
};
