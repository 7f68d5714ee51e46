import type { ReactNode } from 'react';
import type { ArrangementValues } from '@noria/core';

/** Whether values are set in this band, and how they are carried again. */
export type Carried = (...of: (keyof ArrangementValues)[]) => {
  readonly setHere: boolean;
  readonly onCarry: () => void;
};

export interface FlowRowsProps {
  readonly carried: Carried;
  /** What a kind has beside the choice of cells. */
  readonly beside?: ReactNode;
}
