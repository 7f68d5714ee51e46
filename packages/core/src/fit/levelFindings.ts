import { areasMeet } from '../grid/relations.js';
import { bandOf, placeIn } from '../document/bands.js';
import { levelOf } from '../document/levels.js';
import type { Checked, Found } from './checked.js';
import type { LaidOutLevel } from './stretches.js';
import type { LaidOutTile } from '../arrangement.js';
import type { GridArea } from '../grid/place.js';
import type { Tile, TileId } from '../document/types.js';

const SLACK = 0.5;

/** What is found in a level as a whole: holes, a last row that is not full, overlap, order, overflow. */
export function* levelFindings(checked: Checked): Generator<Found> {
  const { stretch } = checked;
  const whole = [{ from: stretch.from, to: stretch.to }];
  for (const [k, level] of stretch.first.levels.entries()) {
    if (level.layout.tiles.length === 0) continue;
    for (const found of inCells(checked, level))
      yield { ...found, level: level.level, ranges: whole, worst: stretch.from };
    const last = stretch.last.levels[k];
    if (last) yield* overflowing(checked, level, last);
  }
}

type InCells = Omit<Found, 'level' | 'ranges' | 'worst'>;

function* inCells({ document, stretch }: Checked, { level, layout }: LaidOutLevel): Generator<InCells> {
  const { coverage, tiles, columns, rows } = layout;
  const view = levelOf(document, level);
  for (const hole of coverage.holes) {
    const isStray =
      hole.row + hole.rowSpan - 1 === rows.length &&
      hole.column + hole.columnSpan - 1 === columns.length &&
      !tiles.some((tile) => tile.row >= hole.row && isAfter(tile, hole));
    // Rows that the grid has without a tile in them are no row of tiles.
    const next = tiles.find((tile) => isAfter(tile, hole) && !view.tiles[tile.id]?.place.pin);
    const last = tiles.at(-1);
    const id = isStray ? last?.id : (next?.id ?? last?.id);
    yield {
      kind: isStray ? 'stray' : 'hole',
      tiles: id === undefined ? [] : [id],
      badness: hole.columnSpan * hole.rowSpan,
      said: {
        columns: hole.columnSpan,
        rows: hole.rowSpan,
        column: hole.column,
        row: hole.row,
        of: columns.length,
      },
    };
  }
  if (coverage.overlapping > 0) {
    const layerOf = (id: TileId) => placeIn(view, view.tiles[id] as Tile, stretch.band.index).layer;
    for (let a = 0; a < tiles.length; a++) {
      for (let b = a + 1; b < tiles.length; b++) {
        const [one, other] = [tiles[a] as LaidOutTile, tiles[b] as LaidOutTile];
        // Tiles of different layers lie over each other on purpose.
        if (!areasMeet(one, other) || layerOf(one.id) !== layerOf(other.id)) continue;
        yield {
          kind: 'overlap',
          tiles: [one.id, other.id],
          badness: 1,
          said: { column: other.column, row: other.row },
        };
      }
    }
  }
  let before: LaidOutTile | null = null;
  for (const tile of tiles) {
    if (before && comesBefore(tile, before)) {
      yield {
        kind: 'out of order',
        tiles: [tile.id, before.id],
        badness: before.row - tile.row,
        said: { row: tile.row, otherRow: before.row },
      };
    } else before = tile;
  }
}

const isAfter = (tile: GridArea, hole: GridArea) =>
  tile.row > hole.row || (tile.row === hole.row && tile.column > hole.column);

/** Whether a tile that is read later is seen wholly before: above, or beside in the same row. */
const comesBefore = (later: GridArea, earlier: GridArea) =>
  later.row + later.rowSpan <= earlier.row ||
  (later.row === earlier.row && later.column + later.columnSpan <= earlier.column);

/** Tiles that reach out of their grid, over the widths at which they do. */
function* overflowing(
  { stretch, document }: Checked,
  first: LaidOutLevel,
  last: LaidOutLevel,
): Generator<Found> {
  const view = levelOf(document, first.level);
  const { padding } = bandOf(view, stretch.band.index).arrangement;
  const axes = [
    (tile: LaidOutTile, { layout }: LaidOutLevel) =>
      tile.x + tile.inlineSize - (layout.inlineSize - padding.inlineEnd),
    (tile: LaidOutTile, { layout }: LaidOutLevel) =>
      tile.y + tile.blockSize - (layout.blockSize - padding.blockEnd),
  ];
  for (const [k, tile] of first.layout.tiles.entries()) {
    const other = last.layout.tiles[k];
    if (!other) continue;
    for (const out of axes) {
      const found = overWidths(stretch, out(tile, first), out(other, last));
      if (found) yield { kind: 'overflow', level: first.level, tiles: [tile.id], ...found };
    }
  }
}

/** Where something that grows or shrinks along a line reaches out by more than is rounding. */
function overWidths({ from, to }: Checked['stretch'], a: number, b: number) {
  if (a <= SLACK && b <= SLACK) return null;
  const at = (width: number) => a + ((b - a) * (width - from)) / Math.max(1, to - from);
  let [low, high] = [from, to];
  while (low < high && at(low) <= SLACK) low++;
  while (high > low && at(high) <= SLACK) high--;
  const worst = at(low) >= at(high) ? low : high;
  return {
    ranges: [{ from: low, to: high }],
    badness: at(worst),
    worst,
    said: { by: at(worst), width: worst },
  };
}
