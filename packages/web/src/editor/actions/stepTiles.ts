import type { AppThunk } from '../state';

/** Moves the selected tiles by so many cells; what works that out comes with the hands of the stage. */
export const stepTiles =
  (columns: number, rows: number): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const { stepSelected } = await import('./step');
    dispatch(stepSelected(columns, rows));
  };
