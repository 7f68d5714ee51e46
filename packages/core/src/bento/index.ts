import { bentoBox } from './box.js';
import { bentoToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

export const bento: ArrangementKind = { kind: 'bento', box: bentoBox, toCss: bentoToCss };
