import { laneEnds, laneImbalance } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { selectFrame, selectLayout } from '../../selectors';

/** How uneven the lanes of a masonry end: (longest − shortest) ÷ mean. */
export function EndsFigure() {
  const layout = useAppSelector(selectLayout);
  const arrangement = useAppSelector(selectFrame);
  const uneven = laneImbalance(Float64Array.from(laneEnds(layout, arrangement)));
  const isEven = uneven < 0.1;
  return (
    <span
      className={`flex items-center gap-2 font-semibold ${isEven ? 'text-sound' : 'text-ink'}`}
      title="How unevenly the lanes end: longest minus shortest, divided by their mean"
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden>
        <path d="M1 1h4v14H1zM6 1h4v11H6zM11 1h4v13h-4z" fill="currentColor" />
      </svg>
      <span data-testid="uneven">Ends {(uneven * 100).toFixed(uneven < 0.1 ? 1 : 0)} % uneven</span>
    </span>
  );
}
