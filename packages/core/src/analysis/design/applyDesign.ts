import { measured } from '../../document/measured.js';
import { bandsOf, placeIn } from '../../document/bands.js';
import { LIMITS } from '../../document/limits.js';
import { assignArea } from '../../edit/commands/areas.js';
import { onLevel } from '../../edit/commands/level.js';
import { setMap } from '../../edit/commands/tracks.js';
import { NO_AREA } from '../../arrangements/bento/areaMap.js';
import { setBreakpoints } from '../../edit/commands/bands.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { setEnlarges } from '../../edit/commands/needs.js';
import { setKind, setOfKind } from '../../edit/commands/kinds.js';
import { setPin, setSpan, type SetFor } from '../../edit/commands/place.js';
import { insertTile, setCollectionLook, setLook, setPart, setTile } from '../../edit/commands/tiles.js';
import { HOLDING, kindOf } from '../../arrangements/index.js';
import { asManyAsFit } from '../../arrangements/fluid/values.js';
import { aspectOf } from '../../arrangements/shared/shape.js';
import { columnCountOf } from '../../arrangements/columns.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { minimumsFor } from '../../arrangements/shared/columnCount.js';
import { spansByShape } from '../packing/spansByShape.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import { dressedTile, newTile, type TileStart } from '../../parts/newTile.js';
import type { Command } from '../../edit/patch/change.js';
import type { Draft } from '../../edit/commands/draft.js';
import type { Arrangement, MeasuredArrangement, Tile, TileId, TrackSize } from '../../document/types.js';
import type { Design, DesignGrid, DesignKind, DesignValues } from './design.js';

export interface ApplyDesign {
  readonly design: Design;
  readonly band: number;
  readonly setFor: SetFor;
  /** Ids for tiles that are missing, and for bands. */
  readonly freshId: (of: string) => string;
  /** What tiles that are missing are where nothing is said of it. */
  readonly what: TileStart;
}

/**
 * Makes a grid as it was said: cuts it, gives its spans to the tiles in reading order, adds tiles that
 * are missing, and sets the values that were said beside it. Breakpoints and the background are those of
 * the collection, so a group has none to say: see `saysOfAll`.
 */
export function applyDesign({ design, band, setFor, freshId, what }: ApplyDesign): Command {
  return (draft) => {
    const { grid, cards, narrower, values } = design;
    const missing = design.what ?? what;
    applyValues(draft, values, band, setFor);
    while (draft.order.length < cards) {
      const said = grid?.cards?.[draft.order.length]?.kind ?? null;
      const tile = said === null ? newTile(missing, freshId(missing)) : dressedTile(said, freshId(said));
      insertTile(draft, tile, draft.order.length);
    }
    if (values.fill !== undefined) setLook(draft.order, { fill: values.fill })(draft);
    grid?.cards?.forEach(({ inside }, k) => {
      const group = draft.order[k];
      if (!inside || group === undefined) return;
      onLevel(group, applyDesign({ design: inside, band, setFor, freshId, what: 'text' }))(draft);
    });
    const whole = grid && goingOn(grid, draft.order.length);
    if (whole) applyGrid(draft, whole, band, setFor);
    applyFit(draft, design, band, setFor);
    if (design.areas) applyAreas(draft, { areas: design.areas, band, setFor, freshId, what: missing });
    if (design.kind) applyKind(draft, design.kind, values, band, setFor);
    if (values.spansByShape) applyShapes(draft, band, setFor);
    const widths = [...new Set([...(values.breakpoints ?? []), ...narrower.map(({ below }) => below)])].sort(
      (a, b) => b - a,
    );
    if (widths.length > 0 || values.breakpoints) setBreakpoints(widths, () => freshId('band'))(draft);
    for (const { below, columnSpan } of narrower) {
      const at = draft.bands.findIndex((each) => each.below === below) + 1;
      if (at === 0) continue;
      setArrangement({ columns: evenShares(grid?.columns ?? 1) }, at, 'band')(draft);
      setSpan({ tiles: draft.order.slice(0, whole?.spans.length), band: at, setFor: 'band', columnSpan })(
        draft,
      );
    }
  };
}

function applyValues(draft: Draft, values: DesignValues, band: number, setFor: SetFor): void {
  const { gap, padding, radius, width, height, rowSize } = values;
  const set: Partial<Arrangement> = {
    ...(gap !== undefined && { columnGap: gap, rowGap: gap }),
    ...(padding !== undefined && {
      padding: { blockStart: padding, inlineEnd: padding, blockEnd: padding, inlineStart: padding },
    }),
    ...(width !== undefined && { maxInlineSize: width }),
    ...(height && { height }),
    ...(values.cells && { cells: values.cells }),
    ...(values.rows && { rows: values.rows }),
    ...(rowSize !== undefined && { rows: [], autoRows: `${rowSize}px` }),
  };
  if (Object.keys(set).length > 0) setArrangement(set, band, setFor)(draft);
  if (radius !== undefined) setCollectionLook({ radius })(draft);
  if (values.background !== undefined) setCollectionLook({ background: values.background })(draft);
  if (values.enlarges) setEnlarges(values.enlarges)(draft);
}

/**
 * A grid whose cards fill it begins anew below for the tiles that are left, so that they lie as the others do;
 * one with cut rows only as often as there are tiles for all of it.
 */
function goingOn(grid: DesignGrid, tiles: number): DesignGrid {
  const { columns, rows, cut, spans } = grid;
  const taken = spans.reduce((sum, span) => sum + span.columns * span.rows, 0);
  if (taken < columns * rows) return grid;
  const times = cut.length > 0 ? Math.floor(tiles / spans.length) : Math.ceil(tiles / spans.length);
  const often = Math.max(1, times);
  const repeated = <T>(list: readonly T[]) => Array.from({ length: often }, () => list).flat();
  return { columns, rows: rows * often, cut: repeated(cut), spans: repeated(spans) };
}

function applyGrid(draft: Draft, grid: DesignGrid, band: number, setFor: SetFor): void {
  const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
  if (arrangement.kind !== HOLDING) setKind(HOLDING, band, setFor)(draft);
  const rows = rowSizes(grid, measured(arrangement, ANY_WIDTH));
  setArrangement({ columns: evenShares(grid.columns), rows, flow: 'dense' }, band, setFor)(draft);
  grid.spans.forEach(({ columns: columnSpan, rows: rowSpan }, k) => {
    const id = draft.order[k];
    if (id === undefined) return;
    setSpan({ tiles: [id], band, setFor, columnSpan, rowSpan })(draft);
    setPin([id], band, null)(draft);
  });
}

function applyFit(draft: Draft, { fit, values }: Design, band: number, setFor: SetFor): void {
  if (!fit) return;
  const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
  const { padding, columnGap, maxInlineSize } = measured(arrangement, 'at' in fit ? fit.at : ANY_WIDTH);
  const min =
    'min' in fit
      ? fit.min
      : leastMinimum(
          fit.columns,
          Math.min(fit.at, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd,
          columnGap,
        );
  const said = {
    min,
    ...(values.atMost !== undefined && { max: values.atMost }),
    ...(values.spansFrom !== undefined && { spansFrom: values.spansFrom }),
  };
  setArrangement({ ...asManyAsFit(arrangement, said), flow: 'dense' }, band, setFor)(draft);
}

interface ApplyAreas extends Pick<ApplyDesign, 'band' | 'setFor' | 'freshId' | 'what'> {
  readonly areas: readonly (readonly string[])[];
}

/** Names the cells and puts a tile into each area: one that lies in none yet, in reading order, else a new one. */
function applyAreas(draft: Draft, { areas, band, setFor, freshId, what }: ApplyAreas): void {
  setArrangement({ kind: HOLDING, columns: evenShares(areas[0]?.length ?? 1) }, band, setFor)(draft);
  setMap(areas, band, setFor)(draft);
  const names = new Set(areas.flat().filter((name) => name !== NO_AREA));
  const areaOf = (id: TileId) => placeIn(draft, draft.tiles[id] as Tile, band).area ?? '';
  const taken = new Set(draft.order.map(areaOf));
  const free = draft.order.filter((id) => !names.has(areaOf(id)));
  for (const name of names) {
    if (taken.has(name)) continue;
    const id = free.shift() ?? freshId(what);
    if (!draft.tiles[id]) addTo(draft, name, newTile(what, id));
    assignArea([id], name, band, setFor)(draft);
  }
}

/** Adds a tile that is called as its area is. */
function addTo(draft: Draft, name: string, tile: Tile): void {
  insertTile(draft, tile, draft.order.length);
  setTile([tile.id], { name })(draft);
  setPart([tile.id], 'heading', { words: name })(draft);
}

function applyKind(
  draft: Draft,
  { name, columns }: DesignKind,
  { atMost }: DesignValues,
  band: number,
  setFor: SetFor,
): void {
  setKind(name, band, setFor)(draft);
  const field = kindOf({ kind: name }).values?.field;
  if (!columns || field === undefined) return;
  const said = 'min' in columns ? { count: null, min: columns.min, max: atMost ?? null } : columns;
  setOfKind(field, said, band, setFor)(draft);
}

/** A width at which a collection is looked at, px, for what follows from no width of its own. */
const ANY_WIDTH = 1280;

function applyShapes(draft: Draft, band: number, setFor: SetFor): void {
  const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
  const here = measured(arrangement, ANY_WIDTH);
  const { columns, columnGap: gap, autoRows, padding } = here;
  const inner = ANY_WIDTH - padding.inlineStart - padding.inlineEnd;
  const inlineSize = columnCountOf(here)?.min ?? evenColumn(inner, columns.length, gap);
  const row = plainTrackSize(autoRows);
  const blockSize = row?.unit === 'px' ? row.value : inlineSize;
  const tiles = draft.order.flatMap((id) => draft.tiles[id] ?? []);
  const aspects = tiles.map((tile) => aspectOf(draft, tile));
  spansByShape(aspects, { inlineSize, blockSize }, gap).forEach(
    ({ columns: columnSpan, rows: rowSpan }, k) => {
      const id = draft.order[k];
      if (id !== undefined) setSpan({ tiles: [id], band, setFor, columnSpan, rowSpan })(draft);
    },
  );
}

/** The least minimum, in hundredths of a px, that gives so many columns: just above (W − n·g) / (n + 1). */
const leastMinimum = (columns: number, inner: number, gap: number) =>
  Math.max(1, (Math.floor(minimumsFor(columns, inner, gap).above * 100) + 1) / 100);

const evenShares = (count: number): TrackSize[] =>
  Array.from({ length: Math.min(count, LIMITS.columns) }, () => '1fr');

type RowsOf = Pick<MeasuredArrangement, 'rows' | 'autoRows' | 'rowGap'>;

/** The sizes of rows: a row that is cut stays as high as it was, in two; where none is listed, they are left. */
function rowSizes({ cut, rows: count }: DesignGrid, { rows, autoRows, rowGap }: RowsOf): TrackSize[] {
  if (cut.length === 0) return rows.slice(0, count);
  return cut.flatMap((isCut, k) => {
    const size = rows[k] ?? autoRows;
    return isCut ? [halfOf(size, rowGap), halfOf(size, rowGap)] : [size];
  });
}

/** Half of a row’s size beside the gap between the halves; one that is no plain number is by its content. */
function halfOf(size: TrackSize, gap: number): TrackSize {
  const plain = plainTrackSize(size);
  if (!plain) return size;
  if (plain.unit === 'fr') return `${plain.value / 2}fr`;
  return `${Math.max(1, (plain.value - gap) / 2)}px`;
}
