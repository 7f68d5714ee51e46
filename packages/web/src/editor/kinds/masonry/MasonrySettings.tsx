import { evenLanes, laneCountOf, laneEnds, laneImbalance, masonryOf } from '@noria/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { count } from '../../../ui/words';
import { announce } from '../../../ui/notices/noticesSlice';
import { runHere } from '../../here';
import { selectBand, selectFrame, selectLayout, selectView } from '../../selectors';
import { ChoiceRow } from '../../settings/ChoiceRow';
import { NumberRow } from '../../settings/NumberRow';
import { SetLength } from '../../settings/SetLength';
import { SetNumber } from '../../settings/SetNumber';
import { MASONRY } from './fields';
import { ColumnCountRows } from '../ColumnCountRows';
import { useKind } from '../useKind';
import type { Inherited } from '../inherited';

/** Lanes of one width, how tiles take them, and how even they end. */
export function MasonrySettings({ inherited }: { inherited: Inherited }) {
  const { arrangement } = useAppSelector(selectBand);
  const { columns } = useAppSelector(selectLayout);
  const { command, set } = useKind('masonry');
  const lanes = masonryOf(arrangement);
  return (
    <>
      <ChoiceRow
        field={MASONRY.direction}
        value={lanes.direction}
        {...inherited('masonry')}
        onChoose={(direction) => set(MASONRY.direction.label, { direction })}
      />
      {lanes.direction === 'block' ? (
        <ColumnCountRows
          what="lanes"
          value={lanes}
          now={columns.length}
          command={command}
          setHere={false}
          onInherit={() => undefined}
        />
      ) : (
        <Row label="Lanes">
          <div className="grid grid-cols-2 gap-1.5">
            <SetNumber
              field={MASONRY.count}
              value={laneCountOf(lanes)}
              command={(count) => command({ count })}
            />
            <SetLength
              field={MASONRY.laneSize}
              value={lanes.laneSize}
              command={(laneSize) => command({ laneSize })}
            />
          </div>
        </Row>
      )}
      <ChoiceRow
        field={MASONRY.order}
        value={lanes.order}
        onChoose={(order) => set(MASONRY.order.label, { order })}
      />
      {lanes.order === 'balanced' && (
        <NumberRow
          field={MASONRY.tolerance}
          value={lanes.tolerance}
          command={(tolerance) => command({ tolerance })}
        />
      )}
      <Ends />
    </>
  );
}

/** How far a tile may move in reading order for even ends, to begin with. */
const DISTANCE = 3;

/** How uneven the lanes end, and a press that evens them. */
function Ends() {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const layout = useAppSelector(selectLayout);
  const frame = useAppSelector(selectFrame);
  const [distance, setDistance] = useState(DISTANCE);
  const uneven = laneImbalance(Float64Array.from(laneEnds(layout, frame)));
  // The stage comes first: what evening would come to follows when there is time.
  const [laterView, laterBand, laterLayout] = [
    useDeferredValue(view),
    useDeferredValue(band),
    useDeferredValue(layout),
  ];
  const evened = useMemo(
    () =>
      laterLayout.tiles.length > MOST_TRIED ? null : evenLanes(laterView, laterBand, laterLayout, distance),
    [laterView, laterBand, laterLayout, distance],
  );
  const run = () => {
    const { command, after, moved } = evenLanes(view, band, layout, distance);
    if (moved === 0) {
      dispatch(announce(`No order within ${distance} places ends more evenly.`));
      return;
    }
    dispatch(runHere('Balance the lanes', command));
    dispatch(
      announce(
        `${count(moved, 'tile')} moved; the lanes end ${percent(after)} uneven, before ${percent(uneven)}.`,
      ),
    );
  };
  const isEven = evened !== null && evened.moved === 0;
  return (
    <div className="mt-1 grid gap-1.5 rounded-s bg-field p-2 text-sm">
      <p data-testid="lane-ends">
        The lanes end <b className="figures">{percent(uneven)}</b> uneven.
      </p>
      <div className="grid grid-cols-[1fr_auto] items-center gap-1.5">
        <NumberField
          name="Furthest move in reading order"
          value={distance}
          least={1}
          most={40}
          unit={distance === 1 ? 'place' : 'places'}
          onSet={setDistance}
        />
        <Button
          disabled={isEven}
          title={
            isEven
              ? `Lanes are balanced: no order within ${distance} places ends more evenly`
              : 'Reorders tiles, none further than that'
          }
          onClick={run}
        >
          {evened && evened.moved > 0 ? (
            <>
              Balance to <span className="figures">{percent(evened.after)}</span>
            </>
          ) : (
            'Balance'
          )}
        </Button>
      </div>
    </div>
  );
}

/** More tiles than these are evened when asked, not beforehand. */
const MOST_TRIED = 120;

const percent = (share: number) => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)} %`;
