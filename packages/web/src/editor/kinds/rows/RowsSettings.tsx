import { rowHeightsOf } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { rounded } from '../../../ui/words';
import { selectBand, selectLayout } from '../../selectors';
import { ChoiceRow } from '../../settings/ChoiceRow';
import { LengthRow } from '../../settings/LengthRow';
import { SetLength } from '../../settings/SetLength';
import { ROWS } from './fields';
import { useKind } from '../useKind';
import type { Inherited } from '../inherited';

/** How high rows of pictures are. */
export function RowsSettings({ inherited }: { inherited: Inherited }) {
  const { arrangement } = useAppSelector(selectBand);
  const { rows } = useAppSelector(selectLayout);
  const { command, set } = useKind('rowHeights');
  const rowHeights = rowHeightsOf(arrangement);
  const sizes = rows.map(({ size }) => size);
  return (
    <>
      <LengthRow
        field={ROWS.target}
        {...inherited('rowHeights')}
        value={rowHeights.target}
        command={(target) => command({ target })}
      />
      <Row label="Limits">
        <div className="grid grid-cols-2 gap-1.5">
          <SetLength field={ROWS.min} value={rowHeights.min} command={(min) => command({ min })} />
          <SetLength field={ROWS.max} value={rowHeights.max} command={(max) => command({ max })} />
        </div>
      </Row>
      <ChoiceRow
        field={ROWS.lastRow}
        value={rowHeights.lastRow}
        onChoose={(lastRow) => set(ROWS.lastRow.label, { lastRow })}
      />
      {sizes.length > 0 && (
        <p className="mt-1 rounded-s bg-field p-2 text-sm" data-testid="row-heights">
          <span className="figures">{sizes.length}</span> {sizes.length === 1 ? 'row' : 'rows'} at this width,
          of <span className="figures">{rounded(Math.min(...sizes))}</span> to{' '}
          <span className="figures">{rounded(Math.max(...sizes))}</span> px. Drag the lower edge of a row on
          the stage to change the height.
        </p>
      )}
    </>
  );
}
