import { mosaicBox } from './box.js';
import { mosaicToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

export const mosaic: ArrangementKind = { kind: 'mosaic', box: mosaicBox, toCss: mosaicToCss };
