import { LIMITS } from '@noria/core';

const height = { least: 1, most: LIMITS.track } as const;

export const ROWS = {
  target: { label: 'Row height', help: 'Rows come as near to this as they can', unit: 'px', ...height },
  min: { label: 'Minimum row height', unit: 'px min', ...height },
  max: { label: 'Maximum row height', unit: 'px max', ...height },
  lastRow: {
    label: 'Last row',
    help: 'What becomes of a last row that is not full',
    choices: [
      { value: 'keep-height', label: 'Keep height' },
      { value: 'fill-width', label: 'Fill width' },
    ],
  },
} as const;
