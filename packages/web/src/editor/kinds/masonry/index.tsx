import { isAlong } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { selectBand, selectLayout } from '../../selectors';
import { count, rounded } from '../../../ui/words';
import { beside, early, whenShown } from '../../../ui/lazily';
import { ColumnsGiven } from '../ColumnsGiven';
import { countWords } from '../countWords';
import { pxWords } from '../inCells';
import type { KindInterface } from '../kind';

/** “Five lanes of 234”; those along the inline axis are the layout’s rows. */
function LanesGiven() {
  const { arrangement } = useAppSelector(selectBand);
  const { rows } = useAppSelector(selectLayout);
  if (!isAlong(arrangement)) return <ColumnsGiven word="lane" />;
  return (
    <>
      {count(rows.length, 'lane')} of <span className="figures">{rounded(rows[0]?.size ?? 0)}</span>
    </>
  );
}

export const masonry: KindInterface = {
  Settings: early(() => import('./MasonrySettings').then((file) => file.MasonrySettings)),
  Gives: LanesGiven,
  values: { of: 'masonry', label: 'Lanes', says: countWords },
  spans: 'columns',
  noGaps: {
    title: 'Lanes have no holes',
    says: 'Lanes can end unevenly instead. The settings of the arrangement say by how much, and balance them.',
  },
  where: ({ at, arrangement }) => `lane ${isAlong(arrangement) ? at.row : at.column}`,
  takes: ({ at }) => (at.columnSpan > 1 ? `${at.columnSpan} lanes, ${pxWords(at)}` : pxWords(at)),
  grips: (arrangement) => (isAlong(arrangement) ? 'none' : 'inline'),
  Overlay: beside(() => import('./LaneEnds').then((file) => file.LaneEnds)),
  Figure: whenShown(() => import('./EndsFigure').then((file) => file.EndsFigure)),
};
