import { resolvedBandOf, type ResolvedBand } from '../../arrangements/bands.js';
import { hasCells } from '../../arrangements/questions.js';
import { bandBearing, type BandBearing, type LevelWidths } from '../bearing.js';
import { bandOf, type Band } from '../../document/bands.js';
import { change, type Command } from '../../edit/patch/change.js';
import { derivedBand, isCorrected, setColumns, placedTiles, widthsOf } from './bandLevel.js';
import { levelOf, type Level } from '../../document/levels.js';
import { onLevel } from '../../edit/commands/level.js';
import { placedSpans, type Leniency } from './placedSpans.js';
import { stackedCommand } from './stack.js';
import { writeBand } from '../../edit/commands/draft.js';
import type { Span } from '../packing/fillCells.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

export interface DeriveOptions {
  readonly measurer: TextMeasurer;
  /** Left out: as many as the tiles bear. */
  readonly columns?: number;
  /** Spans that were corrected by hand in this band stay; left out: they do. */
  readonly anew?: boolean;
}

/**
 * Works out a band from the next wider one: as many columns as the tiles bear, and for every tile
 * that flows a span near to the size it had, so that reading order stays, no cell is empty, large
 * tiles stay large, no word is clipped, no picture cropped too far, and pairs stay beside each other.
 * Spans corrected by hand and pins of the band stay. Groups are derived too. Where nothing bears,
 * limits on pictures give way first, then all of them; at last everything stands in one column.
 * @throws RangeError when there is no such narrower band
 * @throws whatever the measurer throws
 */
export function deriveBand(document: CollectionDocument, band: number, options: DeriveOptions): Command {
  const commands: Command[] = [];
  let made = document;
  const visit = (level: Level): void => {
    const command = onLevel(
      level,
      deriveLevel(levelOf(made, level), band, widthsOf(made, level, band, options.measurer), options),
    );
    commands.push(command);
    made = change(made, command).document;
    for (const id of levelOf(made, level).order) if (made.tiles[id]?.kind === 'group') visit(id);
  };
  visit(null);
  return (draft) => commands.forEach((command) => command(draft));
}

function deriveLevel(
  view: CollectionDocument,
  index: number,
  widths: LevelWidths,
  { measurer, columns: asked, anew = false }: DeriveOptions,
): Command {
  const wider = resolvedBandOf(view, index - 1);
  const band = bandOf(view, index);
  // The other kinds follow the width by themselves.
  if (!hasCells(band.arrangement.kind)) return () => undefined;
  const bearing = (columns: number) => bandBearing(view, derivedBand(band), columns, widths, measurer);
  const most = Math.max(1, wider.columns.length);
  const first = asked ?? columnsBorne(view, wider, most, bearing);
  for (let columns = first; columns > 1; columns = asked === undefined ? columns - 1 : 1) {
    for (const lenient of asked === undefined ? [STRICT] : [STRICT, ANY_CROP, ANYTHING]) {
      const spans = placedSpans({
        view,
        band,
        wider,
        columns,
        bearing: bearing(columns),
        widths,
        options: { ...lenient, anew },
      });
      if (spans) return write(index, columns, spans, band, anew);
    }
  }
  return stackedCommand(view, index, bearing(1));
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

/** Writes the derived columns and spans into a band; what is as it is inherited is not written. */
function write(
  index: number,
  columns: number,
  spans: ReadonlyMap<TileId, Span>,
  band: Band,
  anew: boolean,
): Command {
  return (draft) => {
    const own = writeBand(draft, index);
    // Columns that no tile's edge tells apart are one.
    const isFree = Object.values(own.tiles).every((each) => !each.pin && (anew || !isCorrected(each)));
    const common = isFree ? [...spans.values()].reduce((of, span) => divisor(of, span.columns), columns) : 1;
    setColumns(own, columns / common, band);
    for (const [id, span] of spans) {
      const before = own.tiles[id];
      if (!anew && isCorrected(before)) continue;
      own.tiles[id] = { ...before, columnSpan: span.columns / common, rowSpan: span.rows, derived: true };
    }
  };
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
