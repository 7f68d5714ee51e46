import { LIMITS } from '@noria/core';

export const FLUID = {
  repeat: {
    label: 'Few tiles',
    choices: [
      { value: 'auto-fit', label: 'Few tiles share the whole width' },
      { value: 'auto-fill', label: 'Few tiles keep their width; room for more stays' },
    ],
  },
  min: {
    label: 'Column width',
    help: 'No column is narrower',
    unit: 'px minimum',
    least: 1,
    most: LIMITS.track,
  },
  max: { label: 'Columns', unit: 'at most', least: 1, most: LIMITS.columns },
  spansFrom: {
    label: 'Spans',
    help: 'Whether spans apply at every width, or from a width on; below it every tile takes one column and one row',
    unit: 'px',
    least: 0,
    most: LIMITS.track,
  },
} as const;
