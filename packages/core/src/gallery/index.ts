import { galleryBox } from './box.js';
import { galleryToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

export const gallery: ArrangementKind = { kind: 'rows', box: galleryBox, toCss: galleryToCss };
