import { hasCells, holdsCells } from '../../../arrangements/questions.js';
import { setArrangement } from '../../../edit/commands/arrangement.js';
import { setOwn, setPin, setSpan } from '../../../edit/commands/place.js';
import { change } from '../../../edit/patch/change.js';
import { levelLayout, layoutCollection } from '../../../layout/layout.js';
import { tame, taste, type Candidate } from '../candidate.js';
import { closingOf } from './closing.js';
import type { Finding } from '../types.js';
import type { Case } from './case.js';

/** A tile that is held flows again. */
export function* letFlow({ finding: { kind }, place, at, id, index }: Case): Generator<Candidate> {
  if (place?.pin && (kind === 'overlap' || kind === 'hole' || kind === 'overflow'))
    yield tame('Let it flow', at(setPin([id], index, null)));
}

/** A tile whose pin is lost is held where it lies, or said to flow. */
export function* lostPinHere({
  document,
  finding,
  options,
  at,
  id,
  index,
  first,
}: Case): Generator<Candidate> {
  if (finding.kind !== 'pin lost' || !first) return;
  const whole = layoutCollection(document, first.from, options);
  const lies = levelLayout(whole, finding.level)?.layout.tiles.find((each) => each.id === id);
  if (!lies) return;
  const { column, row } = lies;
  yield taste('Pin it where it lies', at(setPin([id], index, { column, row })));
  yield taste(
    'Let it flow here',
    at((draft) => setOwn(draft, id, { pin: null }, index, 'band')),
  );
}

const SPATIAL: readonly Finding['kind'][] = ['clipped', 'squashed', 'over-cropped', 'focus lost', 'soft'];

/** Other spans of the tile, alone and with the gaps closed that they leave. */
export function* otherSpans(which: Case): Generator<Candidate> {
  const { document, finding, options, band, here, id, index, place, at } = which;
  if (!place || !SPATIAL.includes(finding.kind) || !holdsCells(band.arrangement.kind)) return;
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
    if (!closed) continue;
    yield tame(`Make it ${columns} × ${rows}, close the gaps`, (draft) => {
      spans(draft);
      closed(draft);
    });
  }
}

/** Dense or sparse flow, and closed gaps. */
export function* otherFlow(which: Case): Generator<Candidate> {
  const { document, finding, options, here, index, at } = which;
  const { kind } = finding;
  if (!hasCells(here.arrangement.kind)) return;
  if (kind !== 'hole' && kind !== 'stray' && kind !== 'out of order') return;
  const { flow } = here.arrangement;
  if (flow === 'sparse' && kind === 'hole')
    yield tame('Flow densely', at(setArrangement({ flow: 'dense' }, index, 'band')));
  if (flow === 'dense' && kind === 'out of order')
    yield tame('Flow in order', at(setArrangement({ flow: 'sparse' }, index, 'band')));
  const closed = closingOf(document, finding, index, options);
  if (closed) yield tame('Close the gaps', closed);
  if (kind === 'stray') yield* widerLast(which);
}

/** A last tile that takes what is left of its row. */
function* widerLast({ document, finding, options, band, first, id, index, place, at }: Case) {
  if (!place || !holdsCells(band.arrangement.kind)) return;
  const whole = layoutCollection(document, first?.from ?? band.at, options);
  const inner = levelLayout(whole, finding.level)?.layout;
  const hole = inner?.coverage.holes.at(-1);
  const own = inner?.tiles.find((each) => each.id === id);
  if (!hole || !own) return;
  const columnSpan = own.columnSpan + hole.columnSpan;
  yield tame(
    `Widen the last tile to ${columnSpan}`,
    at(setSpan({ tiles: [id], band: index, setFor: 'band', columnSpan })),
  );
}
