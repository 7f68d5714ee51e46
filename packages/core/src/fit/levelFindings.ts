import { areasMeet, areSame } from '../grid/relations.js';
import { carriedArrangement, placeIn } from '../document/bands.js';
import { fanOf, isAlong } from '../document/kindValues.js';
import { holeFrom, laneHoles, type LaneHole } from '../masonry/ends.js';
import { openAtRest } from '../fan/box.js';
import { levelOf } from '../document/levels.js';
import type { Checked, Found } from './checked.js';
import type { LaidOutLevel, Stretch } from './stretches.js';
import type { LaidOutTile } from '../arrangement.js';
import type { GridArea } from '../grid/place.js';
import type { Arrangement, CollectionDocument, Tile, TileId } from '../document/types.js';

const SLACK = 0.5;

/** What is found in a level as a whole: holes, a last row that is not full, overlap, order, overflow. */
export function* levelFindings(checked: Checked): Generator<Found> {
  const { stretch } = checked;
  const whole = [{ from: stretch.from, to: stretch.to }];
  for (const [k, laidOut] of stretch.first.levels.entries()) {
    if (laidOut.layout.tiles.length === 0) continue;
    const view = levelOf(checked.document, laidOut.level);
    const at: AtLevel = { ...laidOut, view, arrangement: carriedArrangement(view, stretch.band.index) };
    for (const found of inCells(checked, at))
      yield { ...found, level: at.level, ranges: whole, worst: stretch.from };
    const last = stretch.last.levels[k];
    if (last) yield* overflowing(checked, at, last);
    if (last) yield* openLanes(checked, at, last);
  }
}

/** A level at the first width of a stretch, as a collection of its own and with its arrangement there. */
interface AtLevel extends LaidOutLevel {
  readonly view: CollectionDocument;
  readonly arrangement: Arrangement;
}

type InCells = Omit<Found, 'level' | 'ranges' | 'worst'>;

function* inCells({ stretch }: Checked, at: AtLevel): Generator<InCells> {
  const { view, layout } = at;
  const { coverage, tiles, columns, rows } = layout;
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
  yield* lostLocks(stretch, at);
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

/** Locked pictures that no mosaic of so many modules was found around. */
function* lostLocks({ band }: Stretch, { view, arrangement, layout }: AtLevel): Generator<InCells> {
  if (arrangement.kind !== 'mosaic') return;
  for (const tile of layout.tiles) {
    const { slot } = placeIn(view, view.tiles[tile.id] as Tile, band.index);
    if (slot === null || areSame(slot, tile)) continue;
    yield {
      kind: 'lock lost',
      tiles: [tile.id],
      badness: 1,
      said: {
        column: slot.column,
        row: slot.row,
        columns: slot.columnSpan,
        rows: slot.rowSpan,
        of: layout.columns.length,
      },
    };
  }
}

const isAfter = (tile: GridArea, hole: GridArea) =>
  tile.row > hole.row || (tile.row === hole.row && tile.column > hole.column);

/** Whether a tile that is read later is seen wholly before: above, or beside in the same row. */
const comesBefore = (later: GridArea, earlier: GridArea) =>
  later.row + later.rowSpan <= earlier.row ||
  (later.row === earlier.row && later.column + later.columnSpan <= earlier.column);

/** Tiles that reach out of their grid, over the widths at which they do. */
function* overflowing({ stretch }: Checked, first: AtLevel, last: LaidOutLevel): Generator<Found> {
  const { arrangement } = first;
  const { padding } = arrangement;
  const ids = first.layout.tiles.map(({ id }) => id);
  // Cards after the open one reach under the edge of a fan on purpose.
  const open = arrangement.kind === 'fan' ? ids[openAtRest(fanOf(arrangement), ids.length)] : null;
  const axes = [
    (tile: LaidOutTile, { layout }: LaidOutLevel) =>
      tile.x + tile.inlineSize - (layout.inlineSize - padding.inlineEnd),
    (tile: LaidOutTile, { layout }: LaidOutLevel) =>
      tile.y + tile.blockSize - (layout.blockSize - padding.blockEnd),
  ];
  // What runs along lanes is scrolled to.
  const checked = isAlong(arrangement) ? axes.slice(1) : axes;
  for (const [k, tile] of first.layout.tiles.entries()) {
    const other = last.layout.tiles[k];
    if (!other || (open !== null && tile.id !== open)) continue;
    for (const out of checked) {
      const found = overWidths(stretch, out(tile, first), out(other, last));
      if (found) yield { kind: 'overflow', level: first.level, tiles: [tile.id], ...found };
    }
  }
}

/** Lanes of a masonry that stay open before a tile over several, over the widths at which they are seen to. */
function* openLanes(
  { stretch, document }: Checked,
  first: LaidOutLevel,
  last: LaidOutLevel,
): Generator<Found> {
  const view = levelOf(document, first.level);
  const arrangement = carriedArrangement(view, stretch.band.index);
  if (arrangement.kind !== 'masonry') return;
  const holesIn = ({ layout }: LaidOutLevel) =>
    new Map(laneHoles(layout, arrangement).map((hole) => [`${hole.lane} ${hole.tile}`, hole]));
  const over = ({ layout }: LaidOutLevel, size: number) => size - holeFrom(layout, arrangement);
  const ends = holesIn(last);
  const begins = holesIn(first);
  const worst = new Map<TileId, Found>();
  for (const key of new Set([...begins.keys(), ...ends.keys()])) {
    const [a, b] = [begins.get(key), ends.get(key)];
    const { tile, lane } = (a ?? b) as LaneHole;
    const found = overWidths(stretch, over(first, a?.size ?? 0), over(last, b?.size ?? 0));
    if (!found || found.badness <= (worst.get(tile)?.badness ?? 0)) continue;
    const share = (found.worst - stretch.from) / Math.max(1, stretch.to - stretch.from);
    const size = (a?.size ?? 0) + ((b?.size ?? 0) - (a?.size ?? 0)) * share;
    worst.set(tile, {
      ...found,
      kind: 'hole',
      level: first.level,
      tiles: [tile],
      said: { lane: lane + 1, size, columns: spanOf(first, tile) },
    });
  }
  yield* worst.values();
}

/** How many lanes a tile lies over. */
function spanOf({ layout }: LaidOutLevel, id: TileId): number {
  const tile = layout.tiles.find((each) => each.id === id);
  return Math.max(tile?.columnSpan ?? 1, tile?.rowSpan ?? 1);
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
