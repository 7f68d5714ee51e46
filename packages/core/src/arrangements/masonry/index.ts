import { isMeasured } from '../../document/measured.js';
import { alongBox, alongToCss } from './along.js';
import { masonryBox } from './box.js';
import { masonryColumns, masonryCount } from './columns.js';
import { masonryFindings } from './findings.js';
import { masonryRemedies } from './remedies.js';
import { masonryToCss } from './toCss.js';
import { isAlong, masonryValues } from './values.js';
import type { ArrangementKind } from '../kind.js';

/** Lanes in which tiles run down, or along. */
export const masonry: ArrangementKind = {
  name: 'masonry',
  values: masonryValues,
  cells: null,
  columns: masonryColumns,
  columnCount: masonryCount,
  isSaid: true,
  box: (input) => (isAlong(input.band.arrangement) ? alongBox(input) : masonryBox(input)),
  css: (input) => (isAlong(input.band.arrangement) ? alongToCss(input) : masonryToCss(input)),
  changesWithWidth: (arrangement) => !isAlong(arrangement) || !isMeasured(arrangement),
  isSquare: () => false,
  scrolls: isAlong,
  followsWords: (arrangement) => !isAlong(arrangement),
  findings: masonryFindings,
  remedies: masonryRemedies,
  initial: {
    'margin-block-start': '0',
    'margin-inline-start': '0',
    'overflow-x': 'visible',
    'scrollbar-width': 'auto',
  },
};
