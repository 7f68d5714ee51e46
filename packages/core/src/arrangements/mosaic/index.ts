import { measuredIn } from '../../document/measured.js';
import { bounded, evenShares } from '../shared/columnCount.js';
import { mosaicBox } from './box.js';
import { moduleCount } from './columns.js';
import { mosaicFindings } from './findings.js';
import { mosaicRemedies } from './remedies.js';
import { mosaicToCss } from './toCss.js';
import { mosaicOf, mosaicValues } from './values.js';
import type { ArrangementKind } from '../kind.js';

/** Pictures on square modules, without a hole. */
export const mosaic: ArrangementKind = {
  name: 'mosaic',
  values: mosaicValues,
  cells: null,
  columns: (_, band, inner) => evenShares(moduleCount(measuredIn(band), inner)),
  columnCount: (arrangement) => bounded(mosaicOf(arrangement)),
  isSaid: true,
  box: mosaicBox,
  css: mosaicToCss,
  changesWithWidth: (arrangement) => mosaicOf(arrangement).count === null,
  isSquare: () => true,
  findings: mosaicFindings,
  remedies: mosaicRemedies,
};
