import { areSame, type GridArea, type MosaicPlace } from '@noria/core';

/** Whether a tile is locked in a mosaic, and lies there: around some locks no mosaic can be laid out. */
export function lockOf(slot: MosaicPlace | null | undefined, at: GridArea): 'locked' | 'lock lost' | null {
  if (!slot) return null;
  return areSame(slot, at) ? 'locked' : 'lock lost';
}
