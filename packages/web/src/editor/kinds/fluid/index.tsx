import type { WrittenLength } from '@noria/core';
import { early } from '../../../ui/lazily';
import { lengthWords } from '../../../ui/words';
import { ColumnsGiven } from '../ColumnsGiven';
import { cellWords, spanWords } from '../inCells';
import type { KindInterface } from '../kind';

export const fluid: KindInterface = {
  Settings: early(() => import('./FluidSettings').then((file) => file.FluidSettings)),
  Gives: () => <ColumnsGiven word="column" />,
  values: {
    of: 'fluid',
    label: 'Fluid columns',
    says: (value) => {
      const { repeat, min } = value as { readonly repeat: string; readonly min: WrittenLength };
      return `${repeat}, ${lengthWords(min)}`;
    },
  },
  spans: 'cells',
  noGaps: {
    title: 'As many columns as fit',
    says: 'The number of columns changes with the width here. Findings list the widths at which a row is not full, and what fixes it.',
  },
  where: ({ at }) => cellWords(at),
  takes: ({ at }) => spanWords(at),
  grips: () => 'all',
};
