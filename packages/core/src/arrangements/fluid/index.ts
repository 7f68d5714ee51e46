import { fluidBox } from './box.js';
import { fluidColumns } from './columns.js';
import { fluidCuts } from './cuts.js';
import { fluidRemedies } from './remedies.js';
import { fluidToCss } from './toCss.js';
import { fluidOf, fluidValues } from './values.js';
import { fluidWishes } from './wishes.js';
import { isMeasured } from '../../document/measured.js';
import type { ArrangementKind } from '../kind.js';

/** As many even columns as fit, through which tiles flow. */
export const fluid: ArrangementKind = {
  name: 'fluid',
  values: fluidValues,
  cells: 'flowing',
  columns: fluidColumns,
  columnCount: (arrangement) => ({ ...fluidOf(arrangement), count: null }),
  wishes: fluidWishes,
  box: fluidBox,
  css: fluidToCss,
  // A group knows its columns when it is laid out.
  changesWithWidth: (arrangement, level) =>
    level !== null || arrangement.cells === 'square' || !isMeasured(arrangement),
  cuts: fluidCuts,
  thresholds: (arrangement) => {
    const { spansFrom } = fluidOf(arrangement);
    return spansFrom === null ? [] : [spansFrom];
  },
  isSquare: ({ cells }) => cells === 'square',
  remedies: fluidRemedies,
};
