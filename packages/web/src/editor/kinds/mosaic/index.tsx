import { setSlots } from '@noria/core';
import { Lock, LockOpen } from 'lucide-react';
import { early } from '../../../ui/lazily';
import { ColumnsGiven } from '../ColumnsGiven';
import { countWords } from '../countWords';
import { cellWords, spanWords } from '../inCells';
import { lockOf } from './lock';
import type { KindInterface } from '../kind';

export const mosaic: KindInterface = {
  Settings: early(() => import('./MosaicSettings').then((file) => file.MosaicSettings)),
  Gives: () => <ColumnsGiven word="module" />,
  values: { of: 'mosaic', label: 'Modules', says: countWords },
  spans: 'none',
  holding: {
    by: 'slot',
    label: 'Slot',
    free: 'Free',
    held: 'Locked',
    command: (tiles, laid, band, _, holds) =>
      setSlots(
        Object.fromEntries(
          tiles.map(({ id }) => {
            const at = laid.get(id);
            if (!holds || !at) return [id, null];
            const { column, row, columnSpan, rowSpan } = at;
            return [id, { column, row, columnSpan, rowSpan }];
          }),
        ),
        band,
      ),
    step: (holds) => (holds ? 'Lock' : 'Unlock'),
    said: (holds) => (holds ? 'locked in place' : 'free'),
    Sign: (lost) => (lost ? LockOpen : Lock),
    isLost: ({ at, place }) => lockOf(place.slot, at) === 'lock lost',
  },
  noGaps: {
    title: 'A mosaic has no holes',
    says: 'Pictures cover every module. “Shuffle” in the arrangement’s settings makes another mosaic; locked pictures stay.',
  },
  where: ({ at, place }) => [cellWords(at), lockOf(place.slot, at)].filter(Boolean).join(', '),
  takes: ({ at, place }) => [spanWords(at), lockOf(place.slot, at)].filter(Boolean).join(' '),
  grips: () => 'none',
};
