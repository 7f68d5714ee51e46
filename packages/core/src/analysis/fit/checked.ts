import type { Details } from '../../look/detail.js';
import type { FindingKind, WidthRange } from './types.js';
import type { Said } from './words.js';
import type { Stretch } from './stretches.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What one check found at some widths; the words are made of what was worst. */
export interface Found {
  readonly kind: FindingKind;
  readonly level: TileId | null;
  readonly tiles: readonly TileId[];
  readonly ranges: readonly WidthRange[];
  /** How bad it is at its worst, for comparing alone. */
  readonly badness: number;
  readonly worst: number;
  readonly said: Said;
}

/** What every check is given. */
export interface Checked {
  readonly document: CollectionDocument;
  /** With the type sizes of the stretch's band. */
  readonly looks: CollectionDocument;
  readonly stretch: Stretch;
  readonly measurer: TextMeasurer;
  readonly details: Details | undefined;
  readonly density: number;
  readonly isFluid: boolean;
}
