import { whenUsed } from '../../ui/lazily';
import type { AppThunk } from '../state';

const withSteps = whenUsed(() => import('./step'));

/** Moves the selected tiles by so many cells; what works that out comes with the hands of the stage. */
export const stepTiles =
  (columns: number, rows: number): AppThunk<unknown> =>
  (dispatch) =>
    withSteps(({ stepSelected }) => dispatch(stepSelected(columns, rows)));
