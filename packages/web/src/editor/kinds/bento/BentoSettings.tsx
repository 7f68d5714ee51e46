import { LIMITS, setColumnCount } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { rounded } from '../../../ui/words';
import { selectBand, selectLayout, selectSetFor } from '../../selectors';
import { DesignField } from '../../settings/DesignField';
import { GridMatrix } from '../../settings/GridMatrix';
import { SetNumber } from '../../settings/SetNumber';
import { EqualCells } from './EqualCells';
import { FlowRows } from '../FlowRows';
import type { Carried } from '../carried';

/** Columns and rows that are listed. */
export function BentoSettings({ carried }: { carried: Carried }) {
  const layout = useAppSelector(selectLayout);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const sizes = new Set(layout.columns.map(({ size }) => rounded(size)));
  return (
    <>
      <GridMatrix />
      <Row label="Columns" {...carried('columns')}>
        <div className="grid grid-cols-2 items-center gap-1.5">
          <SetNumber
            name="Columns"
            value={arrangement.columns.length}
            least={1}
            most={LIMITS.columns}
            step="Columns"
            command={(count) => setColumnCount(count, index, setFor)}
          />
          <span className="truncate text-sm text-soft" data-testid="even-column">
            {sizes.size === 1 ? (
              <>
                of <span className="figures">{(layout.columns[0]?.size ?? 0).toFixed(1)}</span> px
              </>
            ) : (
              'of their own'
            )}
          </span>
        </div>
      </Row>
      <FlowRows carried={carried} beside={<EqualCells />} />
      <DesignField />
    </>
  );
}
