import fc from 'fast-check';
import { allTiles, levelOf, type Level } from '../document/levels.js';
import { applyDesign } from '../analysis/design/applyDesign.js';
import { readDesign } from '../analysis/design/readDesign.js';
import { closeGaps, gapCommand } from '../analysis/packing/closeGaps.js';
import { moveToCell } from '../edit/commands/moveToCell.js';
import { sample } from './sample.js';
import { assignArea, paintArea, removeArea } from '../edit/commands/areas.js';
import { addBreakpoint, moveBreakpoint, removeBreakpoint } from '../edit/commands/bands.js';
import { setArrangement, setColumnCount, setTrack } from '../edit/commands/arrangement.js';
import {
  duplicateTile,
  pasteTiles,
  swapTiles,
  tilesFromText,
  tilesToText,
  type TakenTiles,
} from '../edit/commands/copies.js';
import { groupTiles, ungroup } from '../edit/commands/groups.js';
import {
  addPart,
  becomeComposition,
  movePart,
  placePart,
  removePart,
  repeatPart,
} from '../edit/commands/parts.js';
import { onLevel } from '../edit/commands/level.js';
import { setFit, setLayer, setPin, setSpan } from '../edit/commands/place.js';
import {
  addTile,
  moveInOrder,
  removeTiles,
  setBadges,
  setTile,
  setLook,
  setWeight,
} from '../edit/commands/tiles.js';
import { evenTracks, insertTrack, moveBoundary, removeTrack } from '../edit/commands/tracks.js';
import { withEntryIds } from '../check/entryIds.js';
import { partsOf } from '../document/card.js';
import { compositions } from '../parts/compositions/index.js';
import { partKinds } from '../parts/index.js';
import { hold } from './held.js';
import type { Command } from '../edit/patch/change.js';
import type { CollectionDocument, TileId } from '../document/types.js';

/** What sequences of steps begin with. */
export const start = withEntryIds(
  sample([
    [2, 2],
    [1, 1],
    [1, 2],
    [2, 1],
    [1, 1],
    [3, 1],
  ]),
);

/** What a step may draw on: numbers that are turned into tiles, bands and cells of the document as it is. */
interface Dice {
  readonly n: readonly [number, number, number, number];
  readonly flag: boolean;
  readonly tag: string;
}

type Step = (view: CollectionDocument, dice: Dice, whole: CollectionDocument) => Command;

const pick = <T>(values: readonly T[], n: number) => values[n % values.length] as T;
const setFor = ({ flag }: Dice) => (flag ? 'all' : 'band');
const bandOf = (view: CollectionDocument, { n }: Dice) => n[3] % (view.bands.length + 1);
const fresh = ({ tag }: Dice) => {
  let k = 0;
  return () => `${tag}-${k++}`;
};
const nothing: Command = () => undefined;
const DESIGNS = [
  '2, 3, 2 with halves',
  '2:1, 3',
  '5 × 2: 2×2, 3×1',
  '4 × 90px, gap 8',
  '3 at 900, at most 5',
];
const taken = tilesFromText(tilesToText(start, ['t1', 't3'])) as TakenTiles;

const STEPS: Readonly<Record<string, Step>> = {
  span: (v, d) =>
    setSpan({
      tiles: [pick(v.order, d.n[0])],
      band: bandOf(v, d),
      setFor: setFor(d),
      columnSpan: d.n[1] - 2,
      rowSpan: d.n[2],
    }),
  pin: (v, d) =>
    setPin([pick(v.order, d.n[0])], bandOf(v, d), d.flag ? { column: d.n[1], row: d.n[2] } : null),
  fit: (v, d) =>
    setFit([pick(v.order, d.n[0])], { inline: 'end', inlineSize: d.n[1] + 1 }, bandOf(v, d), setFor(d)),
  layer: (v, d) => setLayer([pick(v.order, d.n[0])], d.n[1] - 4, bandOf(v, d), setFor(d)),
  order: (v, d) => moveInOrder([pick(v.order, d.n[0]), pick(v.order, d.n[1])], d.n[2]),
  cell: (v, d) =>
    v.order.length === 0
      ? nothing
      : moveToCell(v, pick(v.order, d.n[0]), bandOf(v, d), { column: d.n[1] + 1, row: d.n[2] + 1 }).command,
  swap: (v, d) => swapTiles(pick(v.order, d.n[0]), pick(v.order, d.n[1])),
  columns: (v, d) => setColumnCount(d.n[1], bandOf(v, d), setFor(d)),
  track: (v, d) =>
    setTrack({
      axis: d.flag ? 'row' : 'column',
      index: d.n[0],
      size: pick(['77px', 'auto', '2fr', 'minmax(10px, 1fr)'], d.n[1]),
      band: bandOf(v, d),
      setFor: 'band',
    }),
  insert: (v, d) =>
    insertTrack(
      { axis: d.flag ? 'row' : 'column', index: d.n[0] % 3, band: bandOf(v, d), setFor: 'band' },
      d.n[1] % 2 || undefined,
    ),
  remove: (v, d) =>
    removeTrack({ axis: d.flag ? 'row' : 'column', index: d.n[0], band: bandOf(v, d), setFor: 'all' }),
  boundary: (v, d) =>
    moveBoundary({
      axis: 'column',
      index: 0,
      by: d.n[0] * 9 - 30,
      sizes: [100, 80],
      band: bandOf(v, d),
      setFor: setFor(d),
    }),
  even: (v, d) => evenTracks({ axis: d.flag ? 'row' : 'column', band: bandOf(v, d), setFor: setFor(d) }),
  height: (v, d) =>
    setArrangement(
      {
        height: pick([{ kind: 'content' }, { kind: 'fixed', px: 500 }, { kind: 'screen', share: 1 }], d.n[0]),
      },
      bandOf(v, d),
      setFor(d),
    ),
  breakpoint: (_, d, { bands }) =>
    bands.length === 0 ? nothing : moveBreakpoint(1 + (d.n[0] % bands.length), d.n[1] * 300),
  addBreakpoint: (_, d) => addBreakpoint(`band-${d.tag}`, 300 + d.n[0] * 90 + d.n[1]),
  removeBreakpoint: (_, d, { bands }) =>
    bands.length === 0 ? nothing : removeBreakpoint(1 + (d.n[0] % bands.length)),
  paint: (v, d) =>
    paintArea(
      pick(['side', 'top'], d.n[0]),
      { column: 1 + (d.n[1] % 3), row: 1 + (d.n[2] % 3), columnSpan: 1 + (d.n[0] % 2), rowSpan: 2 },
      bandOf(v, d),
      setFor(d),
    ),
  unpaint: (v, d) => removeArea('side', bandOf(v, d), setFor(d)),
  assign: (v, d) =>
    assignArea([pick(v.order, d.n[0])], pick(['side', 'top', null], d.n[1]), bandOf(v, d), setFor(d)),
  content: (v, d) =>
    d.flag
      ? setTile([pick(v.order, d.n[0])], { name: 'Another' })
      : hold([pick(v.order, d.n[0])], {
          figure: { words: '12', level: 2 },
          heading: 'not for a figure',
        }),
  look: (v, d) => setLook([pick(v.order, d.n[0])], { fill: '#102030', headingSize: undefined }),
  weight: (v, d) => setWeight([pick(v.order, d.n[0])], d.flag ? d.n[1] : undefined),
  badges: (v, d) =>
    setBadges(
      pick(v.order, d.n[0]),
      d.flag ? [{ words: 'New', inline: 'end', block: 'start', fill: '#ffffff', textColour: '#000000' }] : [],
    ),
  add: (_, d, whole) =>
    d.tag in whole.tiles
      ? nothing
      : addTile(pick(['quote', 'text', 'picture'] as const, d.n[0]), d.tag, d.n[1] % 3),
  duplicate: (v, d) =>
    v.order.length === 0 ? nothing : duplicateTile(v, pick(v.order, d.n[0]), bandOf(v, d), fresh(d)),
  part: (v, d) => {
    const tile = v.tiles[pick(v.order, d.n[0])];
    const part = pick(tile ? partsOf(tile).map(({ id }) => id) : [], d.n[1]);
    const ids = tile ? [tile.id] : [];
    const kind = pick(partKinds(), d.n[2]).name;
    return pick(
      [
        () => addPart(ids, kind, d.flag ? part : undefined),
        () => removePart(ids, part),
        () => repeatPart(ids, part),
        () => movePart(ids, part, d.n[3] - 4),
        () => placePart(ids, part, { hidden: d.flag || undefined, align: d.flag ? 'end' : undefined }),
        () => placePart(ids, part, { beside: d.flag || undefined }),
        () => becomeComposition(ids, pick(compositions(), d.n[2]).name),
      ],
      d.n[3],
    )();
  },
  paste: (_, d) => pasteTiles(taken, 0, fresh(d)),
  delete: (v, d) => removeTiles([pick(v.order, d.n[0])]),
  group: (v, d) => groupTiles([pick(v.order, d.n[0]), pick(v.order, d.n[1])], `g-${d.tag}`, bandOf(v, d)),
  ungroup: (v, d) => ungroup(pick(v.order, d.n[0])),
  design: (v, d) =>
    applyDesign({
      design: readDesign(pick(DESIGNS, d.n[0])),
      band: bandOf(v, d),
      setFor: setFor(d),
      freshId: fresh(d),
      what: 'text',
    }),
  close: (v, d) =>
    gapCommand(
      closeGaps(v, bandOf(v, d), { distance: d.n[0], mostSpans: 1, allows: () => true }).changes,
      bandOf(v, d),
    ),
};

const dice = fc.record({
  n: fc.tuple(fc.nat(9), fc.nat(9), fc.nat(9), fc.nat(9)),
  flag: fc.boolean(),
});
/** Steps by name, with their dice and the level that they are made on. */
export const anySteps = (maxLength: number) =>
  fc.array(fc.tuple(fc.constantFrom(...Object.keys(STEPS)), dice, fc.nat(40)), { maxLength });

export type AnyStep = readonly [string, Omit<Dice, 'tag'>, number];

/**
 * The command of a step on some level of the document.
 * @param tag what is new is called by it
 */
export function commandOf(document: CollectionDocument, [name, roll, where]: AnyStep, tag: string): Command {
  const groups = allTiles(document).filter((id) => document.tiles[id]?.kind === 'group');
  const level: Level = pick<TileId | null>([null, null, ...groups], where);
  const view = levelOf(document, level);
  const step = (STEPS[name] as Step)(view, { ...roll, tag }, document);
  return onLevel(OF_THE_COLLECTION.has(name) ? null : level, step);
}

const OF_THE_COLLECTION: ReadonlySet<string> = new Set(['breakpoint', 'addBreakpoint', 'removeBreakpoint']);
