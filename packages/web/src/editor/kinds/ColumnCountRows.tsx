import { LIMITS, type ColumnCount, type Command } from '@noria/core';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { sentence } from '../../ui/words';
import { useAppDispatch } from '../hooks';
import { runHere } from '../here';
import { SetLength } from '../settings/SetLength';
import { SetNumber } from '../settings/SetNumber';

interface ColumnCountRowsProps {
  /** What the columns are called: lanes, modules. */
  readonly what: string;
  readonly value: ColumnCount;
  /** How many there are now. */
  readonly now: number;
  readonly setHere: boolean;
  readonly onInherit: () => void;
  readonly command: (values: Partial<ColumnCount>) => Command;
}

/** So many columns at every width, or as many of a least width as fit. */
export function ColumnCountRows({ what, value, now, command, ...inherited }: ColumnCountRowsProps) {
  const dispatch = useAppDispatch();
  const title = sentence(what);
  const count = { label: title, unit: what, least: 1, most: LIMITS.columns };
  const min = { label: `Minimum width of ${what}`, unit: 'px min', least: 1, most: LIMITS.track };
  const max = { label: `Maximum number of ${what}`, least: 0, most: LIMITS.columns };
  const isFitted = value.count === null;
  return (
    <>
      <Row label={title} {...inherited}>
        <div className="grid grid-cols-2 items-center gap-1.5">
          <Segments
            value={isFitted ? 'fit' : 'fixed'}
            choices={[
              { value: 'fit', label: 'Auto' },
              { value: 'fixed', label: 'Fixed' },
            ]}
            onChoose={(choice) => dispatch(runHere(title, command({ count: choice === 'fit' ? null : now })))}
          />
          {isFitted ? (
            <span className="truncate text-sm text-soft">
              <span className="figures" data-testid="columns-now">
                {now}
              </span>{' '}
              at this width
            </span>
          ) : (
            <SetNumber
              field={count}
              name={`Number of ${what}`}
              value={value.count}
              command={(count) => command({ count })}
            />
          )}
        </div>
      </Row>
      {isFitted && (
        <Row label="Limits">
          <div className="grid grid-cols-2 gap-1.5">
            <SetLength field={min} value={value.min} whole={false} command={(min) => command({ min })} />
            <SetNumber
              field={max}
              value={value.max ?? 0}
              unit={value.max === null ? 'no max' : 'max'}
              command={(max) => command({ max: max === 0 ? null : max })}
            />
          </div>
        </Row>
      )}
    </>
  );
}
