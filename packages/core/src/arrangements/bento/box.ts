import { gridLevel } from '../shared/gridLevel.js';
import { areaMap } from './areaMap.js';
import { bentoWishes } from './wishes.js';
import type { LevelBox, LevelInput } from '../kind.js';

/** Tiles in the cells of the columns that are listed. */
export function bentoBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  return gridLevel(input, {
    columns: band.arrangement.columns,
    wishes: bentoWishes(document, band, band.arrangement.columns),
    mapped: areaMap(band.arrangement)?.rows ?? 0,
  });
}
