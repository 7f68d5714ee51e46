import { measured } from '../../document/measured.js';
import { shownTiles, type Band } from '../../document/bands.js';
import { mosaicOf } from './values.js';
import { shapeOf } from '../shared/shape.js';
import { layoutMosaic } from './layoutMosaic.js';
import { perText } from '../../memo.js';
import type { MosaicItem, MosaicLayout } from './types.js';
import type { CollectionDocument } from '../../document/types.js';

/** What is meant where spans are chosen: slots do not change while modules grow with the page. */
const MODULE = 96;
/** The page at which a gap that follows it is meant, px. */
const PAGE = 1280;

const EMPTY: MosaicLayout = { slots: [], rows: 0, visible: [] };
/** The same pictures in the same modules are laid out once, however the document came to them. */
const laidOut = perText<MosaicLayout>(40);

/** The slots of a mosaic of so many modules across, in the order in which tiles are seen. */
export function mosaicSlots(document: CollectionDocument, band: Band, columns: number): MosaicLayout {
  const { arrangement } = band;
  const { shareOfLarge, maxCrop: mostCrop, seed } = mosaicOf(arrangement);
  const items = shownTiles(document, band).map(({ tile, place }): MosaicItem => {
    const aspect = shapeOf(document, tile, place);
    const { slot } = place;
    return slot === null
      ? { aspect }
      : { aspect, locked: { ...slot, column: slot.column - 1, row: slot.row - 1 } };
  });
  if (items.length === 0) return EMPTY;
  const options = {
    columns,
    gap: measured(arrangement, PAGE).columnGap,
    moduleSize: MODULE,
    shareOfLarge,
    seed,
    mostCrop,
  };
  return laidOut(JSON.stringify([items, options]), () => layoutMosaic(items, options));
}
