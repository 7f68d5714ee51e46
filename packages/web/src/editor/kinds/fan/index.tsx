import { useAppSelector } from '../../hooks';
import { selectLayout } from '../../selectors';
import { count } from '../../../ui/words';
import { early } from '../../../ui/lazily';
import { pxWords } from '../inCells';
import type { KindInterface } from '../kind';

/** “Six cards”. */
function CardsGiven() {
  return count(useAppSelector(selectLayout).tiles.length, 'card');
}

export const fan: KindInterface = {
  Settings: early(() => import('./FanSettings').then((file) => file.FanSettings)),
  Gives: CardsGiven,
  values: {
    of: 'fan',
    label: 'Cards',
    says: (value) => {
      const { axis, inlineSize, blockSize } = value as {
        readonly axis: string;
        readonly inlineSize: number | string;
        readonly blockSize: number | string;
      };
      return `${axis}, ${inlineSize} × ${blockSize}`;
    },
  },
  spans: 'none',
  noGaps: { title: 'A fan has no holes', says: 'Cards lie over each other, each showing a strip.' },
  where: ({ number }) => `card ${number}`,
  takes: ({ at }) => pxWords(at),
  grips: () => 'none',
};
