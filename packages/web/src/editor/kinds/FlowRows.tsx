import { isSquare, LIMITS, setArrangement, setGrid, type ArrangementValues } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import { SetNumber } from '../settings/SetNumber';
import { TrackField } from '../settings/TrackField';
import { CellsRow } from './CellsRow';
import type { FlowRowsProps } from './carried';

/** How high cells are, and how tiles flow through them. */
export function FlowRows({ carried, beside }: FlowRowsProps) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const set = (name: string, values: Partial<ArrangementValues>) =>
    dispatch(runHere(name, setArrangement(values, index, setFor)));
  return (
    <>
      <CellsRow carried={carried} beside={beside} />
      {!isSquare(arrangement) && (
        <Row label="Rows" {...carried('rows', 'autoRows')}>
          <div className="grid grid-cols-2 gap-1.5">
            <SetNumber
              name="Rows"
              value={arrangement.rows.length}
              least={0}
              most={LIMITS.rows}
              step="Rows"
              command={(count) => setGrid(arrangement.columns.length, count, index, setFor)}
            />
            <TrackField
              name="Every other row"
              value={arrangement.autoRows}
              onSet={(autoRows) => set('Auto rows', { autoRows })}
            />
          </div>
        </Row>
      )}
      <Row label="Flow" {...carried('flow')}>
        <Segments
          name="Flow"
          value={arrangement.flow}
          choices={[
            { value: 'dense', label: 'Dense' },
            { value: 'sparse', label: 'Sparse' },
          ]}
          onChoose={(flow) => set('Flow', { flow })}
        />
      </Row>
    </>
  );
}
