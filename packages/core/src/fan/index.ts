import { fanBox } from './box.js';
import { fanToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

export const fan: ArrangementKind = { kind: 'fan', box: fanBox, toCss: fanToCss };
