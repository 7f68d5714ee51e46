import type { ArrangementValues } from '@noria/core';

/** Whether values are set in this band, and how they are carried again. */
export type Carried = (...of: (keyof ArrangementValues)[]) => {
  readonly setHere: boolean;
  readonly onCarry: () => void;
};
