import { useMemo } from 'react';
import { useAppSelector, useAppStore } from '../hooks';
import { selectLayout } from '../selectors';
import { dropPromise, type Hovering } from './dropPromise';
import { boxStyle, type StageSpace } from './space';

interface DropMarksProps {
  readonly space: StageSpace;
  readonly hovering: Hovering;
}

/** What a drop would do, in words; and the tiles that would take it, numbered where there are more. */
export function DropMarks({ space, hovering }: DropMarksProps) {
  const store = useAppStore();
  const layout = useAppSelector(selectLayout);
  const { says, tiles } = useMemo(() => dropPromise(store.getState(), hovering), [store, hovering]);
  return (
    <>
      {tiles.map((id, k) => {
        const at = layout.tiles.find((tile) => tile.id === id);
        return (
          at && (
            <div
              key={id}
              aria-hidden
              data-testid="takes"
              className="pointer-events-none absolute grid place-items-center rounded-[10px] bg-copper/25 outline-2 outline-copper"
              style={boxStyle(space, at)}
            >
              {tiles.length > 1 && (
                <span className="figures grid size-6 place-items-center rounded-full bg-copper text-sm font-semibold text-on-copper">
                  {k + 1}
                </span>
              )}
            </div>
          )
        );
      })}
      <p className="pointer-events-none fixed bottom-[112px] left-1/2 z-[140] w-max max-w-[640px] -translate-x-1/2 rounded-m bg-copper px-4 py-2 font-semibold text-on-copper shadow-float">
        {says}
      </p>
    </>
  );
}
