import { layoutBento } from './layout.js';
import { bentoToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

export const bento: ArrangementKind = { kind: 'bento', layout: layoutBento, toCss: bentoToCss };
