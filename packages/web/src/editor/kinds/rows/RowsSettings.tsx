import { rowHeightsOf, LIMITS } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { rounded } from '../../../ui/words';
import { selectBand, selectLayout } from '../../selectors';
import { NumberRow } from '../../settings/NumberRow';
import { SetNumber } from '../../settings/SetNumber';
import { useKind } from '../useKind';
import type { Carried } from '../carried';

/** How high rows of pictures are. */
export function RowsSettings({ carried }: { carried: Carried }) {
  const { arrangement } = useAppSelector(selectBand);
  const { rows } = useAppSelector(selectLayout);
  const { command, set } = useKind('rowHeights');
  const rowHeights = rowHeightsOf(arrangement);
  const sizes = rows.map(({ size }) => size);
  const height = { least: 1, most: LIMITS.track, unit: 'px' } as const;
  return (
    <>
      <NumberRow
        label="Row height"
        {...carried('rowHeights')}
        name="Target height of rows"
        value={rowHeights.target}
        {...height}
        unit="px, near this"
        step="Row height"
        command={(target) => command({ target })}
      />
      <Row label="Between">
        <div className="grid grid-cols-2 gap-1.5">
          <SetNumber
            name="Least height of rows"
            value={rowHeights.min}
            {...height}
            unit="px least"
            step="Least height"
            command={(min) => command({ min })}
          />
          <SetNumber
            name="Greatest height of rows"
            value={rowHeights.max}
            {...height}
            unit="px most"
            step="Greatest height"
            command={(max) => command({ max })}
          />
        </div>
      </Row>
      <Row label="Last row">
        <Segments
          name="Last row"
          value={rowHeights.lastRow}
          choices={[
            { value: 'at-most-target', label: 'As it comes' },
            { value: 'justified', label: 'Filled' },
          ]}
          onChoose={(lastRow) => set('Last row', { lastRow })}
        />
      </Row>
      {sizes.length > 0 && (
        <p className="mt-1 rounded-s bg-field p-2 text-sm" data-testid="row-heights">
          <span className="figures">{sizes.length}</span> {sizes.length === 1 ? 'row' : 'rows'} here, of{' '}
          <span className="figures">{rounded(Math.min(...sizes))}</span> to{' '}
          <span className="figures">{rounded(Math.max(...sizes))}</span> px. Drag a row’s lower edge on the
          stage for another height.
        </p>
      )}
    </>
  );
}
