import type { IconAsset } from '../../document/types.js';

const icon = (id: string, name: string, ...shapes: IconAsset['shapes']): IconAsset => ({ id, name, shapes });

/** The icons that starters show, drawn on 24 × 24 with strokes. */
export const STARTER_ICONS: readonly IconAsset[] = [
  icon('ridge', 'Ridge', ['path', { d: 'M2 19 9 6l4 7 2-3 7 9z' }], ['path', { d: 'M7 10l2 1.5L11 10' }]),
  icon(
    'hut',
    'Hut',
    ['path', { d: 'M3 11 12 4l9 7' }],
    ['path', { d: 'M5 10v10h14V10' }],
    ['path', { d: 'M10 20v-6h4v6' }],
  ),
  icon('stove', 'Stove', [
    'path',
    { d: 'M12 3c1 3 5 5 5 10a5 5 0 0 1-10 0c0-2 1-3 2-4 0 2 1 3 2 3 2-2 0-5 1-9z' },
  ]),
  icon(
    'night',
    'Night',
    ['path', { d: 'M20 14A8 8 0 1 1 10 4a6.5 6.5 0 0 0 10 10z' }],
    ['path', { d: 'M17 4v4M15 6h4' }],
  ),
  icon(
    'path',
    'Path',
    ['circle', { cx: '6', cy: '19', r: '2' }],
    ['circle', { cx: '18', cy: '5', r: '2' }],
    ['path', { d: 'M8 19h8a3.5 3.5 0 0 0 0-7H8a3.5 3.5 0 0 1 0-7h8' }],
  ),
  icon(
    'soup',
    'Soup',
    ['path', { d: 'M3 12h18a9 9 0 0 1-18 0z' }],
    ['path', { d: 'M9 8c0-2 2-2 2-4M14 8c0-2 2-2 2-4' }],
  ),
];
