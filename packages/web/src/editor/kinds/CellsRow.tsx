import { setArrangement } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import type { FlowRowsProps } from './carried';

/** Whether rows have sizes of their own or make cells square. */
export function CellsRow({ carried, beside }: FlowRowsProps) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  return (
    <Row label="Cells" {...carried('cells')}>
      <div className="grid grid-cols-[1fr_auto] gap-1.5">
        <Segments
          name="Cells"
          value={arrangement.cells ?? 'tracks'}
          choices={[
            { value: 'tracks', label: 'By rows' },
            { value: 'square', label: 'Square' },
          ]}
          onChoose={(cells) => dispatch(runHere('Cells', setArrangement({ cells }, index, setFor)))}
        />
        {beside}
      </div>
    </Row>
  );
}
