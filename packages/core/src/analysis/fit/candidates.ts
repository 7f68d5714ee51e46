import { bandsOf, placeIn, type Band } from '../../document/bands.js';
import { resolvedBands, type ResolvedBand } from '../../arrangements/bands.js';
import { hasCells, holdsCells } from '../../arrangements/questions.js';
import { levelOf } from '../../document/levels.js';
import { bandLookIn, documentIn } from '../../document/bandLooks.js';
import { measureOf, typeSizeOf } from '../../look/named.js';
import { carryPlace, setFit, setLayer, setOrder, setPin, setSpan } from '../../edit/commands/place.js';
import { addBreakpoint, moveBreakpoint } from '../../edit/commands/bands.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { setBandLook } from '../../edit/commands/bandLooks.js';
import { moveInOrder, setAlternativeText } from '../../edit/commands/tiles.js';
import { onLevel } from '../../edit/commands/level.js';
import { setNeverBelow } from '../../edit/commands/needs.js';
import { coloursOf, legibleInk } from '../../look/ink.js';
import { closeGaps, gapCommand } from '../packing/closeGaps.js';
import { bandBearing } from '../reflow/bearing.js';
import { deriveBand } from '../reflow/derive.js';
import { layoutCollection, levelLayout } from '../../layout/layout.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import { change, type Command } from '../../edit/patch/change.js';
import type { CheckOptions } from './checkFit.js';
import { kindCandidates } from './kindCandidates.js';
import { tame, taste, type Candidate } from './candidate.js';
import { ANY_BAND, type Finding, type WidthRange } from './types.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

/** What might put a finding right, the least first; none of it has been tried. */
export function* candidates(
  document: CollectionDocument,
  finding: Finding,
  options: CheckOptions,
): Generator<Candidate> {
  if (!ANY_BAND.includes(finding.kind))
    yield* inBand(document, finding, bandsOf(document)[finding.band] as Band, options);
  yield* anywhere(document, finding);
}

const SPATIAL: readonly Finding['kind'][] = ['clipped', 'squashed', 'over-cropped', 'focus lost', 'soft'];

function* inBand(
  document: CollectionDocument,
  finding: Finding,
  band: Band,
  options: CheckOptions,
): Generator<Candidate> {
  const { kind, level, tiles } = finding;
  const view = levelOf(document, level);
  const [id = ''] = tiles;
  const tile = document.tiles[id];
  const place = tile && placeIn(document, tile, band.index);
  const { index } = band;
  const here = resolvedBands(view)[index] as ResolvedBand;
  const at = (command: Command) => onLevel(level, command);
  const [first, last] = [finding.ranges[0], finding.ranges.at(-1)];

  if (place?.pin && (kind === 'overlap' || kind === 'hole' || kind === 'overflow'))
    yield tame('Let it flow', at(setPin([id], index, null)));
  if (SPATIAL.includes(kind) && place && holdsCells(band.arrangement.kind)) {
    const most = here.columns.length;
    const span = Math.min(place.columnSpan, most);
    for (const [columns, rows] of [
      [span + 1, place.rowSpan],
      [span, place.rowSpan + 1],
      [span, place.rowSpan - 1],
      [span - 1, place.rowSpan],
      [span + 1, place.rowSpan + 1],
      [most, place.rowSpan],
    ] as const) {
      if (columns < 1 || rows < 1 || columns > most || (columns === span && rows === place.rowSpan)) continue;
      const spans = at(
        setSpan({ tiles: [id], band: index, setFor: 'band', columnSpan: columns, rowSpan: rows }),
      );
      yield tame(`Make it ${columns} × ${rows}`, spans);
      const closed = closingOf(change(document, spans).document, finding, index, options);
      if (closed) {
        yield tame(`Make it ${columns} × ${rows}, close the gaps`, (draft) => {
          spans(draft);
          closed(draft);
        });
      }
    }
  }
  if (hasCells(here.arrangement.kind) && (kind === 'hole' || kind === 'stray' || kind === 'out of order')) {
    if (here.arrangement.flow === 'sparse' && kind === 'hole')
      yield tame('Flow densely', at(setArrangement({ flow: 'dense' }, index, 'band')));
    if (here.arrangement.flow === 'dense' && kind === 'out of order')
      yield tame('Flow in order', at(setArrangement({ flow: 'sparse' }, index, 'band')));
    const closed = closingOf(document, finding, index, options);
    if (closed) yield tame('Close the gaps', closed);
    if (kind === 'stray' && place) {
      const wide = layoutCollection(document, first?.from ?? band.at, options);
      const inner = levelLayout(wide, level)?.layout;
      const hole = inner?.coverage.holes.at(-1);
      const own = inner?.tiles.find((each) => each.id === id);
      if (hole && own && holdsCells(band.arrangement.kind))
        yield tame(
          `Widen the last tile to ${own.columnSpan + hole.columnSpan}`,
          at(
            setSpan({
              tiles: [id],
              band: index,
              setFor: 'band',
              columnSpan: own.columnSpan + hole.columnSpan,
            }),
          ),
        );
    }
  }
  if (index > 0 && kind !== 'focus lost') {
    yield tame('Derive this band anew', deriveBand(document, index, options));
  }
  yield* atBreakpoints(document, band, first, last, options);
  if (kind === 'clipped') {
    const { autoRows } = here.arrangement;
    const row = plainTrackSize(autoRows);
    if (row?.unit === 'px')
      yield tame(
        'Let rows grow with words',
        at(setArrangement({ autoRows: `minmax(${autoRows}, auto)` }, index, 'band')),
      );
  }
  if (kind === 'over-cropped' || kind === 'clipped') yield* otherRows(here, index, kind, at);
  yield* kindCandidates(here, finding, at);
  if ((kind === 'clipped' || kind === 'squashed') && tile) yield smallerType(document, tile, index);
  if (kind === 'squashed' && tile?.neverBelow !== undefined)
    yield taste('As narrow as its words allow', setNeverBelow([id], null));
  if ((kind === 'over-cropped' || kind === 'soft') && index === 0 && last && first && first.from > 1000) {
    const maxInlineSize = first.from - 1;
    yield tame(`Never wider than ${maxInlineSize} px`, setArrangement({ maxInlineSize }, 0, 'all'));
  }
  if (kind === 'overflow') {
    const columns = here.arrangement.columns.map(() => '1fr');
    yield tame('Even columns', at(setArrangement({ columns }, index, 'band')));
    yield tame(
      'Fill its cells',
      at(setFit([id], { inline: 'fill', block: 'fill', inlineSize: null, blockSize: null }, index, 'band')),
    );
    if (here.arrangement.height?.kind === 'fixed')
      yield tame('Height by content', at(setArrangement({ height: { kind: 'content' } }, index, 'band')));
  }
  if (kind === 'overlap') {
    const other = tiles[1] ?? '';
    if (document.tiles[other]) yield tame('Let the other flow', at(setPin([other], index, null)));
    yield taste('Lift it by a layer', at(setLayer([other], (place?.layer ?? 0) + 1, index, 'band')));
  }
  if (kind === 'out of order' && place) {
    yield tame(
      'Back to reading order',
      at((draft) => tiles.forEach((each) => setOrder([each], 0, index, 'band')(draft))),
    );
    if (index > 0) yield tame('Carry its place', at(carryPlace(id, index, ['order', 'pin', 'area'])));
  }
}

/** Other heights of the common rows. */
function* otherRows(
  { arrangement }: Band,
  index: number,
  kind: Finding['kind'],
  at: (command: Command) => Command,
): Generator<Candidate> {
  const row = plainTrackSize(arrangement.autoRows);
  if (row?.unit !== 'px') return;
  for (const factor of kind === 'clipped' ? [1.15, 1.35] : [1.15, 0.87, 1.35, 0.74]) {
    const px = Math.round(row.value * factor);
    yield tame(`Rows of ${px} px`, at(setArrangement({ autoRows: `${px}px` }, index, 'band')));
  }
}

/** Closing the gaps of a level in a band, within what its tiles bear. */
function closingOf(
  document: CollectionDocument,
  { level, worst }: Finding,
  index: number,
  { measurer }: CheckOptions,
): Command | null {
  const view = levelOf(document, level);
  const band = resolvedBands(view)[index] as ResolvedBand;
  if (!holdsCells(band.arrangement.kind)) return null;
  const pages = [Math.max(240, band.from), Math.min(2560, band.below - 1)];
  const sizes = pages.map(
    (page) => levelLayout(layoutCollection(document, page, { measurer }), level)?.layout.inlineSize ?? worst,
  );
  const bearing = bandBearing(
    view,
    band,
    band.columns.length,
    {
      low: Math.min(...sizes),
      high: Math.max(...sizes),
      lowPage: pages[0] ?? worst,
      highPage: pages[1] ?? worst,
    },
    measurer,
  );
  const allows = (id: string, span: { columns: number; rows: number }) =>
    bearing.allows(document.tiles[id] as Tile, span);
  const { outcome, changes } = closeGaps(view, index, { distance: 0, mostSpans: 3, allows });
  if (outcome === 'whole') return onLevel(level, gapCommand(changes, index));
  const further = closeGaps(view, index, { distance: 3, mostSpans: 4, allows });
  return further.outcome === 'whole' ? onLevel(level, gapCommand(further.changes, index)) : null;
}

/** Findings at an end of a band go with its breakpoint; others with a new one. */
function* atBreakpoints(
  document: CollectionDocument,
  band: Band,
  first: WidthRange | undefined,
  last: WidthRange | undefined,
  options: CheckOptions,
): Generator<Candidate> {
  if (!first || !last) return;
  const narrower = document.bands[band.index];
  const low = Math.max(band.from, options.from ?? 240);
  const atLow = first.from <= low;
  const atHigh = last.to >= band.below - 1;
  if (atLow && narrower && first.to + 1 < band.below)
    yield tame(`Move breakpoint to ${first.to + 1}`, moveBreakpoint(band.index + 1, first.to + 1));
  if (atHigh && band.index > 0 && last.from > low)
    yield tame(`Move breakpoint to ${last.from}`, moveBreakpoint(band.index, last.from));
  const below = atLow ? first.to + 1 : last.from;
  if (below <= low || below >= band.below || below > 2560) return;
  const id = freshId(document, below);
  const added = change(document, addBreakpoint(id, below)).document;
  const index = added.bands.findIndex((each) => each.id === id) + 1;
  if (index === 0) return;
  yield tame(`Add a breakpoint at ${below}`, (draft) => {
    addBreakpoint(id, below)(draft);
    deriveBand(added, index, { ...options, anew: true })(draft);
  });
}

function freshId({ bands }: CollectionDocument, below: number): string {
  const ids = new Set(bands.map(({ id }) => id));
  let id = `below-${below}`;
  while (ids.has(id)) id += '-x';
  return id;
}

/** A seventh smaller in this band. */
const SMALLER = 0.86;

function smallerType(document: CollectionDocument, tile: Tile, band: number): Candidate {
  const looks = documentIn(document, band);
  const { look, namedLooks } = looks;
  const own = looks.tiles[tile.id]?.look ?? tile.look;
  const px = (size: typeof look.headingSize) => {
    const found = typeSizeOf(namedLooks, size);
    return typeof found === 'object' ? Math.min(found.from, found.to) : measureOf(namedLooks, found);
  };
  const large = tile.kind === 'stat' && own.headingSize === undefined ? 1.7 : 1;
  const sizes = {
    ...bandLookIn(document, tile.id, band),
    headingSize: Math.round(px(own.headingSize ?? look.headingSize) * large * SMALLER * 10) / 10,
    ...(tile.kind !== 'stat' && {
      bodySize: Math.max(12, Math.round(px(own.bodySize ?? look.bodySize) * SMALLER * 10) / 10),
    }),
  };
  return taste('Smaller type', setBandLook([tile.id], sizes, band));
}

/** What does not depend on a band. */
function* anywhere(document: CollectionDocument, { kind, tiles, level }: Finding): Generator<Candidate> {
  const [id = ''] = tiles;
  const tile = document.tiles[id];
  if (!tile) return;
  if (kind === 'out of order') {
    const { order } = levelOf(document, level);
    const position = order.indexOf(tiles[1] ?? '');
    if (position !== -1) yield taste('Read it in this order', onLevel(level, moveInOrder([id], position)));
  }
  if (kind === 'focus lost' && tile.kind === 'picture') {
    yield tame('Around the focal point', (draft) => {
      const own = draft.tiles[id];
      if (own?.kind !== 'picture') return;
      delete own.position;
    });
  }
  if (kind === 'over-cropped' && tile.kind === 'picture') {
    yield taste('Show it whole', (draft) => {
      const own = draft.tiles[id];
      if (own?.kind === 'picture') own.shows = 'contain';
    });
  }
  if (kind === 'faint') {
    yield tame('Legible ink by itself', (draft) => {
      const own = draft.tiles[id];
      if (own) own.look.ink = 'auto';
    });
    yield tame('Legible badges', (draft) => {
      for (const badge of draft.tiles[id]?.badges ?? [])
        badge.ink = legibleInk(coloursOf(document, badge.fill));
    });
    yield tame('A stronger tint', (draft) => {
      const fill = draft.tiles[id]?.look.fill;
      if (typeof fill === 'object' && fill.kind === 'picture')
        fill.tint.strength = Math.min(1, Math.max(0.55, fill.tint.strength + 0.2));
    });
  }
  if (kind === 'no alternative text' && tile.kind === 'picture' && tile.picture !== null) {
    const words = tile.caption.trim() || tile.name;
    yield taste(`Say “${words}”`, setAlternativeText(tile.picture, words));
  }
}
