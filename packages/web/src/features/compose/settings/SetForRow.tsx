import { LIMITS } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { setForChosen } from '../composeSlice';
import { selectBand, selectSetFor } from '../selectors';

/** Whether what is set holds in this band or at all widths. */
export function SetForRow() {
  const dispatch = useAppDispatch();
  const { from, below } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const narrowest = Math.max(from, LIMITS.narrowest);
  const reach = below > LIMITS.widest ? `From ${narrowest}` : `${narrowest} – ${below - 1}`;
  return (
    <Row label="Set for">
      <Segments
        name="Set for"
        value={setFor}
        choices={[
          { value: 'band', label: reach },
          { value: 'all', label: 'All widths' },
        ]}
        onChoose={(value) => dispatch(setForChosen(value))}
      />
    </Row>
  );
}
