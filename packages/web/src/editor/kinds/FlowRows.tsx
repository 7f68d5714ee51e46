import { isSquare, setArrangement, setGrid, type ArrangementValues } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import { ARRANGEMENT } from '../fields/fields';
import { ChoiceRow } from '../settings/ChoiceRow';
import { SetNumber } from '../settings/SetNumber';
import { TrackField } from '../settings/TrackField';
import { CellsRow } from './CellsRow';
import type { FlowRowsProps } from './inherited';

/** How high cells are, and how tiles flow through them. */
export function FlowRows({ inherited, beside }: FlowRowsProps) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const set = (name: string, values: Partial<ArrangementValues>) =>
    dispatch(runHere(name, setArrangement(values, index, setFor)));
  return (
    <>
      <CellsRow inherited={inherited} beside={beside} />
      <Row label={ARRANGEMENT.rows.label} {...inherited('rows', 'autoRows')}>
        <div className="grid grid-cols-2 gap-1.5">
          <SetNumber
            field={ARRANGEMENT.rows}
            name={null}
            value={arrangement.rows.length}
            command={(count) => setGrid(arrangement.columns.length, count, index, setFor)}
          />
          {isSquare(arrangement) ? (
            <span className="self-center truncate text-sm text-soft">as high as wide</span>
          ) : (
            <TrackField
              name={ARRANGEMENT.autoRows.label}
              value={arrangement.autoRows}
              onSet={(autoRows) => set(ARRANGEMENT.autoRows.label, { autoRows })}
            />
          )}
        </div>
      </Row>
      <ChoiceRow
        field={ARRANGEMENT.flow}
        value={arrangement.flow}
        {...inherited('flow')}
        onChoose={(flow) => set(ARRANGEMENT.flow.label, { flow })}
      />
    </>
  );
}
