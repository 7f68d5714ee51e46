import { resolvedBandOf, type ResolvedBand } from '../../arrangements/bands.js';
import { holdsCells } from '../../arrangements/questions.js';
import { bandBearing, type BandBearing, type GroupHeights, type LevelWidths } from '../bearing.js';
import { areaIn, NO_AREA } from '../../arrangements/bento/areaMap.js';
import { bandOf, placeIn, type Band } from '../../document/bands.js';
import { change, type Command } from '../../edit/patch/change.js';
import { derivedBand, setColumns, placedTiles, widthsOf } from './bandLevel.js';
import { cutGroups } from './groupHeights.js';
import { isCorrected } from '../../document/derived.js';
import { levelOf, type Level } from '../../document/levels.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import { onLevel } from '../../edit/commands/level.js';
import { placedSpans, type DerivedPlace } from './placedSpans.js';
import type { Leniency } from './spanChoices.js';
import { stackedCommand, type Kept } from './stack.js';
import { writeBand } from '../../edit/commands/draft.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

export interface DeriveOptions {
  readonly measurer: TextMeasurer;
  /** Left out: as many as the tiles bear. */
  readonly columns?: number;
  /** Spans that were corrected by hand in this band are derived too; left out: they stay. */
  readonly anew?: boolean;
  /** Columns that the band has of its own stay; left out: they are derived. */
  readonly keepsColumns?: boolean;
}

/**
 * Works out a band from the next wider one: as many columns as the tiles bear, and for every tile
 * that flows a span near to the size it had, so that reading order stays, no cell is empty, large
 * tiles stay large, no word is clipped, no picture cropped too far, and pairs stay beside each other.
 * Spans corrected by hand and pins of the band stay. Groups are derived too; where what is in one is higher
 * than its rows, it takes more of them. Where nothing bears,
 * limits on pictures give way first, then all of them; at last everything stands in one column.
 * @throws RangeError when there is no such narrower band
 * @throws whatever the measurer throws
 */
export function deriveBand(document: CollectionDocument, band: number, options: DeriveOptions): Command {
  const commands: Command[] = [];
  let made = document;
  const run = (command: Command): void => {
    commands.push(command);
    made = change(made, command).document;
  };
  const visit = (level: Level): void => {
    // How many columns were asked for says nothing of those in groups.
    const { columns, ...others } = options;
    const asked = level === null && columns !== undefined ? { ...others, columns } : others;
    const widths = widthsOf(made, level, band, options.measurer);
    let groups: GroupHeights = new Map();
    for (let round = 0; round < ROUNDS; round++) {
      const command = onLevel(level, deriveLevel(levelOf(made, level), band, { widths, groups }, asked));
      run(command);
      if (level !== null) run(onLevel(level, rowsByContent(levelOf(made, level), band)));
      for (const id of levelOf(made, level).order) if (made.tiles[id]?.kind === 'group') visit(id);
      const cut = cutGroups(made, level, band, options.measurer);
      if (cut.size === 0) return;
      groups = new Map([...groups, ...cut]);
    }
  };
  visit(null);
  return (draft) => commands.forEach((command) => command(draft));
}

/** What is stacked in a group is as high as it needs to be, where equal rows would make all of it as high as the highest. */
function rowsByContent(view: CollectionDocument, index: number): Command {
  const { columns, arrangement } = resolvedBandOf(view, index);
  const isEqual = plainTrackSize(arrangement.autoRows)?.unit === 'fr' && arrangement.rows.length === 0;
  if (columns.length > 1 || !isEqual) return () => undefined;
  return (draft) => {
    writeBand(draft, index).arrangement.autoRows = 'auto';
  };
}

/** How often a level is derived whose groups turn out to be higher than their rows. */
const ROUNDS = 3;

/** How wide a level is, and how high its groups are known to be. */
interface Room {
  readonly widths: LevelWidths;
  readonly groups: GroupHeights;
}

function deriveLevel(
  view: CollectionDocument,
  index: number,
  { widths, groups }: Room,
  { measurer, columns: most, anew = false, keepsColumns = false }: DeriveOptions,
): Command {
  const wider = resolvedBandOf(view, index - 1);
  const band = bandOf(view, index);
  // The other kinds follow the width by themselves.
  if (!holdsCells(band.arrangement.kind)) return () => undefined;
  const bearing = (columns: number) =>
    bandBearing(view, derivedBand(band), columns, widths, measurer, { groups });
  const set = keepsColumns ? view.bands[index - 1]?.arrangement : undefined;
  // A map that is set in the band says where tiles lie.
  if (set?.areas && set.areas.length > 0) return () => undefined;
  const own = set?.columns?.length;
  const kept = { columns: own !== undefined, places: !anew };
  const asked = own ?? most;
  const first = asked ?? columnsBorne(view, wider, Math.max(1, wider.columns.length), bearing);
  for (let columns = first; columns > 1; columns = asked === undefined ? columns - 1 : 1) {
    for (const lenient of asked === undefined ? [STRICT] : [STRICT, ANY_CROP, ANYTHING]) {
      const options = { ...lenient, anew };
      const places = placedSpans({ view, band, wider, columns, bearing: bearing(columns), widths, options });
      if (places)
        return write({ index, columns, places, areas: derivedMap(view, band, columns, places), band, kept });
    }
  }
  return kept.columns && first > 1 ? () => undefined : stackedCommand(view, index, bearing(1), kept);
}

const STRICT: Leniency = { crop: false, words: false };
const ANY_CROP: Leniency = { crop: true, words: false };
const ANYTHING: Leniency = { crop: true, words: true };

/** The most columns in which no tile needs more of them than it takes in the wider band. */
export function columnsBorne(
  view: CollectionDocument,
  wider: ResolvedBand,
  most: number,
  bearing: (columns: number) => BandBearing,
): number {
  const spans = placedTiles(view, wider);
  for (let columns = most; columns > 1; columns--) {
    const { leastRows } = bearing(columns);
    const bears = spans.every(({ tile, area }) => {
      const rows = leastRows(tile, Math.min(columns, area.columnSpan));
      return rows !== null && rows <= area.rowSpan + 1;
    });
    if (bears) return columns;
  }
  return 1;
}

interface Derived {
  readonly index: number;
  readonly columns: number;
  readonly places: ReadonlyMap<TileId, DerivedPlace>;
  /** The names of the cells, row by row; none where the wider band has no map. */
  readonly areas: readonly (readonly string[])[];
  readonly band: Band;
  readonly kept: Kept;
}

/** Writes the derived columns and spans into a band; what is as it is inherited is not written. */
function write({ index, columns, places, areas, band, kept }: Derived): Command {
  return (draft) => {
    const own = writeBand(draft, index);
    // Columns that no tile's edge tells apart are one.
    const isFree =
      !kept.columns &&
      [...places.values()].every(({ pin }) => !pin) &&
      Object.values(own.tiles).every((each) => !each.pin && !(kept.places && isCorrected(each)));
    const common = isFree
      ? [...places.values()].reduce((of, { area }) => divisor(of, area.columnSpan), columns)
      : 1;
    if (!kept.columns) setColumns(own, columns / common, band);
    if (!kept.columns && areas.length > 0)
      own.arrangement.areas = areas.map((row) => row.filter((_, k) => k % common === 0).join(' '));
    for (const [id, { area, pin }] of places) {
      const { derivedPin: _, ...before } = own.tiles[id] ?? {};
      own.tiles[id] = {
        ...before,
        ...(!(kept.places && isCorrected(before)) && {
          columnSpan: area.columnSpan / common,
          rowSpan: area.rowSpan,
          derived: true,
        }),
        ...(pin !== undefined && { derivedPin: pin }),
      };
    }
  };
}

/** The map of a derived band: every tile that lies in an area of the wider one names the cells that it takes. */
function derivedMap(
  view: CollectionDocument,
  band: Band,
  columns: number,
  places: ReadonlyMap<TileId, DerivedPlace>,
): string[][] {
  const map: string[][] = [];
  const names = [...places.keys()].map((id) => placeIn(view, view.tiles[id] as Tile, band.index).area);
  for (const [k, { area }] of [...places.values()].entries()) {
    const name = names[k] ?? null;
    // Tiles that share an area would lie over each other.
    if (name === null || !areaIn(band.arrangement, name) || names.filter((each) => each === name).length > 1)
      continue;
    for (let row = area.row; row < area.row + area.rowSpan; row++) {
      while (map.length < row) map.push(Array.from({ length: columns }, () => NO_AREA));
      map[row - 1]?.fill(name, area.column - 1, area.column - 1 + area.columnSpan);
    }
  }
  return map;
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
