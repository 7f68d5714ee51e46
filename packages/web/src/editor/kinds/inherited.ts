import type { ReactNode } from 'react';
import type { ArrangementValues } from '@noria/core';

/** Whether values are set in this band, and how they are inherited again. */
export type Inherited = (...of: (keyof ArrangementValues)[]) => {
  readonly setHere: boolean;
  readonly onInherit: () => void;
};

export interface FlowRowsProps {
  readonly inherited: Inherited;
  /** What a kind has beside the choice of cells. */
  readonly beside?: ReactNode;
}
