import { setArrangement } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { ARRANGEMENT } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import type { FlowRowsProps } from './inherited';

/** Whether rows have sizes of their own or make cells square. */
export function CellsRow({ inherited, beside }: FlowRowsProps) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const { cells } = ARRANGEMENT;
  return (
    <Row label={cells.label} {...inherited('cells')}>
      <div className="grid grid-cols-[1fr_auto] gap-1.5">
        <Segments
          value={arrangement.cells ?? 'tracks'}
          choices={cells.choices}
          onChoose={(value) =>
            dispatch(runHere(cells.label, setArrangement({ cells: value }, index, setFor)))
          }
        />
        {beside}
      </div>
    </Row>
  );
}
