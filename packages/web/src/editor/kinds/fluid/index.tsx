import { whenShown } from '../../../ui/lazily';
import { ColumnsGiven } from '../ColumnsGiven';
import { cellWords, spanWords } from '../inCells';
import type { KindInterface } from '../kind';

export const fluid: KindInterface = {
  Settings: whenShown(() => import('./FluidSettings').then((file) => file.FluidSettings)),
  Gives: () => <ColumnsGiven word="column" />,
  values: {
    of: 'fluid',
    label: 'Fluid columns',
    says: (value) => {
      const { repeat, min } = value as { readonly repeat: string; readonly min: number };
      return `${repeat}, ${min} px`;
    },
  },
  spans: 'cells',
  noGaps: {
    title: 'As many columns as fit',
    says: 'Here the number of columns changes with the width, and so do the gaps. Findings say at which widths a row is not full, and which number of columns or which minimum puts that right.',
  },
  where: ({ at }) => cellWords(at),
  takes: ({ at }) => spanWords(at),
  grips: () => 'all',
};
