import { LIMITS } from '@noria/core';

const size = { unit: 'px', least: 1, most: LIMITS.track } as const;

export const FAN = {
  axis: {
    label: 'Axis',
    help: 'Whether cards lie side by side or below one another',
    choices: [
      { value: 'inline', label: 'Across' },
      { value: 'block', label: 'Down' },
    ],
  },
  inlineSize: { label: 'Card width', ...size },
  blockSize: { label: 'Card height', ...size },
  strip: { label: 'Strip', help: 'The most that a covered card shows of its edge', ...size, least: 0 },
  open: {
    label: 'Open card',
    help: 'The card that lies open until another is opened',
    choices: [
      { value: 'first', label: 'First' },
      { value: 'last', label: 'Last' },
    ],
  },
} as const;
