import { shownTiles } from '../../document/bands.js';
import { evenShares } from '../shared/columnCount.js';
import { fanBox } from './box.js';
import { openerMarkup } from './openers.js';
import { fanRemedies } from './remedies.js';
import { fanToCss } from './toCss.js';
import { fanOf, fanValues, openAtRest } from './values.js';
import type { ArrangementKind } from '../kind.js';

/** Cards lying over each other, each showing a strip. */
export const fan: ArrangementKind = {
  name: 'fan',
  values: fanValues,
  cells: null,
  columns: (document, band) =>
    evenShares(
      fanOf(band.arrangement).axis === 'inline' ? Math.max(1, shownTiles(document, band).length) : 1,
    ),
  columnCount: () => null,
  box: fanBox,
  css: fanToCss,
  changesWithWidth: () => false,
  isSquare: () => false,
  // Cards after the open one reach under the edge.
  reachesOut: (arrangement, shown, tile) => tile !== shown[openAtRest(fanOf(arrangement), shown.length)],
  remedies: fanRemedies,
  markup: openerMarkup,
  initial: {
    overflow: 'visible',
    'overflow-clip-margin': '0px',
    'clip-path': 'none',
    isolation: 'auto',
    'justify-items': 'normal',
  },
};
