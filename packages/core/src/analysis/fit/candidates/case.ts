import { resolvedBands, type ResolvedBand } from '../../../arrangements/bands.js';
import { bandsOf, placeIn, type Band } from '../../../document/bands.js';
import { levelOf } from '../../../document/levels.js';
import { onLevel } from '../../../edit/commands/level.js';
import type { CollectionDocument, Tile, TileId, WholePlace } from '../../../document/types.js';
import type { Command } from '../../../edit/patch/change.js';
import type { CheckOptions } from '../checkFit.js';
import type { Finding, WidthRange } from '../types.js';

/** A finding with what those who look for a remedy ask of it. */
export interface Case {
  readonly document: CollectionDocument;
  readonly finding: Finding;
  readonly options: CheckOptions;
  /** The band of the collection, and of the level in which it was found. */
  readonly band: Band;
  readonly here: ResolvedBand;
  readonly view: CollectionDocument;
  /** Index of the band. */
  readonly index: number;
  /** The tile whose it is first; empty where it is nobody's. */
  readonly id: TileId;
  readonly tile: Tile | undefined;
  readonly place: WholePlace | undefined;
  /** Makes a command of the level one of the collection. */
  readonly at: (command: Command) => Command;
  /** The narrowest and the widest widths at which it holds. */
  readonly first: WidthRange | undefined;
  readonly last: WidthRange | undefined;
}

export function caseOf(document: CollectionDocument, finding: Finding, options: CheckOptions): Case {
  const { level, tiles, ranges, band: index } = finding;
  const view = levelOf(document, level);
  const [id = ''] = tiles;
  const tile = document.tiles[id];
  return {
    document,
    finding,
    options,
    view,
    index,
    id,
    tile,
    band: bandsOf(document)[index] as Band,
    here: resolvedBands(view)[index] as ResolvedBand,
    place: tile && placeIn(document, tile, index),
    at: (command) => onLevel(level, command),
    first: ranges[0],
    last: ranges.at(-1),
  };
}
