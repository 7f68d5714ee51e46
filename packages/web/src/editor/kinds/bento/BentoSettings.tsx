import { setColumnCount } from '@noria/core';
import { ARRANGEMENT } from '../../fields/fields';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { rounded } from '../../../ui/words';
import { selectBand, selectLayout, selectSetFor } from '../../selectors';
import { GridMatrix } from '../../settings/GridMatrix';
import { SetNumber } from '../../settings/SetNumber';
import { EqualCells } from './EqualCells';
import { FlowRows } from '../FlowRows';
import type { Inherited } from '../inherited';

/** Columns and rows that are listed. */
export function BentoSettings({ inherited }: { inherited: Inherited }) {
  const layout = useAppSelector(selectLayout);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const sizes = new Set(layout.columns.map(({ size }) => rounded(size)));
  return (
    <>
      <GridMatrix />
      <Row label={ARRANGEMENT.columns.label} {...inherited('columns')}>
        <div className="grid grid-cols-2 items-center gap-1.5">
          <SetNumber
            field={ARRANGEMENT.columns}
            name={null}
            value={arrangement.columns.length}
            command={(count) => setColumnCount(count, index, setFor)}
          />
          <span className="truncate text-sm text-soft" data-testid="even-column">
            {sizes.size === 1 ? (
              <>
                of <span className="figures">{(layout.columns[0]?.size ?? 0).toFixed(1)}</span> px
              </>
            ) : (
              'of different widths'
            )}
          </span>
        </div>
      </Row>
      <FlowRows inherited={inherited} beside={<EqualCells />} />
    </>
  );
}
