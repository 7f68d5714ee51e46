import { cellsOf, wishesOf } from '../../arrangements/cells.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { CollectionDocument, Tile } from '../../document/types.js';
import type { HeldCells, Span } from './fillCells.js';

/** A tile that flows, with its position in reading order and the span it has. */
export interface FlowingTile {
  readonly tile: Tile;
  readonly position: number;
  readonly span: Span;
}

/** The tiles of a level in a band: the cells of those held by a pin or an area, and those that flow. */
export function tilesOf(
  document: CollectionDocument,
  band: ResolvedBand,
): { readonly held: readonly HeldCells[]; readonly flowing: readonly FlowingTile[] } {
  const held: HeldCells[] = [];
  const flowing: FlowingTile[] = [];
  const wishes = wishesOf(document, band);
  cellsOf(document, band).forEach(({ column, row, columnSpan, rowSpan }, position) => {
    if (!wishes[position]) return;
    const span = { columns: columnSpan, rows: rowSpan };
    const tile = document.tiles[document.order[position] as string] as Tile;
    if (wishes[position].column === null) flowing.push({ tile, position, span });
    else held.push({ ...span, column: column - 1, row: row - 1 });
  });
  return { held, flowing };
}
