import { LIMITS } from '@noria/core';
import { memo, useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Segments } from '../../ui/Segments';
import { setForChosen } from '../editorSlice';
import { selectBand, selectSetFor } from '../selectors';

/** Whether what is set holds in this band or at all widths; always in sight. */
export const SetForChoice = memo(function SetForChoice() {
  const dispatch = useAppDispatch();
  const { id, from, below } = useAppSelector(selectBand);
  // “All widths” is said anew in each band, so that nothing goes everywhere unseen.
  const at = useRef(id);
  useEffect(() => {
    if (at.current === id) return;
    at.current = id;
    dispatch(setForChosen('band'));
  }, [dispatch, id]);
  const setFor = useAppSelector(selectSetFor);
  const narrowest = Math.max(from, LIMITS.narrowest);
  const reach = below > LIMITS.widest ? `From ${narrowest}` : `${narrowest} – ${below - 1}`;
  return (
    <div className="grid grid-cols-[auto_1fr] items-center gap-2">
      <span className="text-sm text-soft">Set for</span>
      <Segments
        name="Set for"
        value={setFor}
        choices={[
          { value: 'band', label: reach },
          { value: 'all', label: 'All widths' },
        ]}
        onChoose={(value) => dispatch(setForChosen(value))}
      />
    </div>
  );
});
