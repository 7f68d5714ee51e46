import { LIMITS, type ColumnCount, type Command } from '@noria/core';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { useAppDispatch } from '../hooks';
import { runHere } from '../here';
import { SetNumber } from '../settings/SetNumber';

interface ColumnCountRowsProps {
  /** What the columns are called: lanes, modules. */
  readonly what: string;
  readonly value: ColumnCount;
  /** How many there are now. */
  readonly now: number;
  readonly setHere: boolean;
  readonly onCarry: () => void;
  readonly command: (values: Partial<ColumnCount>) => Command;
}

/** So many columns at every width, or as many of a least width as fit. */
export function ColumnCountRows({ what, value, now, command, ...carried }: ColumnCountRowsProps) {
  const dispatch = useAppDispatch();
  const set = (values: Partial<ColumnCount>) => dispatch(runHere(title, command(values)));
  const title = what.charAt(0).toUpperCase() + what.slice(1);
  const isFitted = value.count === null;
  return (
    <>
      <Row label={title} {...carried}>
        <div className="grid grid-cols-2 items-center gap-1.5">
          <Segments
            name={`Number of ${what}`}
            value={isFitted ? 'fit' : 'fixed'}
            choices={[
              { value: 'fit', label: 'Fit' },
              { value: 'fixed', label: 'Fixed' },
            ]}
            onChoose={(choice) => set({ count: choice === 'fit' ? null : now })}
          />
          {isFitted ? (
            <span className="truncate text-sm text-soft">
              <span className="figures" data-testid="columns-now">
                {now}
              </span>{' '}
              here
            </span>
          ) : (
            <SetNumber
              name={title}
              value={value.count}
              least={1}
              most={LIMITS.columns}
              unit={what}
              step={title}
              command={(count) => command({ count })}
            />
          )}
        </div>
      </Row>
      {isFitted && (
        <Row label="At least">
          <div className="grid grid-cols-2 gap-1.5">
            <SetNumber
              name={`Least width of ${what}`}
              value={value.min}
              least={1}
              most={LIMITS.track}
              whole={false}
              unit="px"
              step={title}
              command={(min) => command({ min })}
            />
            <SetNumber
              name={`Greatest number of ${what}`}
              value={value.max ?? 0}
              least={0}
              most={LIMITS.columns}
              unit={value.max === null ? 'no limit' : 'at most'}
              step={title}
              command={(max) => command({ max: max === 0 ? null : max })}
            />
          </div>
        </Row>
      )}
    </>
  );
}
