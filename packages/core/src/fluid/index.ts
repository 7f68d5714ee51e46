import { bentoToCss } from '../bento/toCss.js';
import { fluidBox } from './box.js';
import type { ArrangementKind } from '../arrangement.js';

/** At each width a fluid arrangement is a bento of so many even columns through which tiles flow. */
export const fluid: ArrangementKind = { kind: 'fluid', box: fluidBox, toCss: bentoToCss };
