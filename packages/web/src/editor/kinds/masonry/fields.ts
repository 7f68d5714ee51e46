import { LIMITS } from '@noria/core';

export const MASONRY = {
  direction: {
    label: 'Direction',
    help: 'Whether lanes are columns or rows',
    choices: [
      { value: 'block', label: 'Columns' },
      { value: 'inline', label: 'Rows' },
    ],
  },
  count: { label: 'Lanes', unit: 'lanes', least: 1, most: LIMITS.columns },
  laneSize: { label: 'Lane height', unit: 'px high', least: 1, most: LIMITS.track },
  order: {
    label: 'Order',
    help: 'Balanced: each tile takes the lane that ends first. In turn: lane after lane',
    choices: [
      { value: 'balanced', label: 'Balanced' },
      { value: 'in-turn', label: 'In turn' },
    ],
  },
  tolerance: {
    label: 'Tolerance',
    help: 'How much longer a lane may be than the shortest and still be taken in its turn',
    unit: 'px',
    least: 0,
    most: LIMITS.track,
  },
} as const;
