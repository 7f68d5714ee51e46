import { fanOf, galleryOf, isAlong, masonryOf, mosaicOf } from '../document/kindValues.js';
import { fluidOf } from '../fluid/columns.js';
import { LIMITS } from '../document/limits.js';
import { setOfKind, setSlots, type KindValues } from '../commands/kinds.js';
import { moveInOrder } from '../commands/tiles.js';
import { setSpan } from '../commands/place.js';
import { tame, taste, type Candidate } from './candidate.js';
import type { Band } from '../document/bands.js';
import type { ColumnCount } from '../document/arrangement.js';
import type { Command } from '../patch/change.js';
import type { Finding } from './types.js';

/** Makes a command of a level one of the collection. */
type At = (command: Command) => Command;

/** Other values of the kind of arrangement in which something was found. */
export function* kindCandidates(band: Band, finding: Finding, at: At): Generator<Candidate> {
  switch (band.arrangement.kind) {
    case 'bento':
      break;
    case 'fluid':
      yield* otherFluid(band, finding, at);
      break;
    case 'masonry':
      yield* otherMasonry(band, finding, at);
      break;
    case 'rows':
      yield* otherGallery(band, finding, at);
      break;
    case 'mosaic':
      yield* otherMosaic(band, finding, at);
      break;
    case 'fan':
      yield* otherFan(band, finding, at);
      break;
  }
}

/** Sets values of a kind in the band of the finding alone. */
const inBandOf =
  (index: number, at: At) =>
  <K extends keyof KindValues>(of: K, values: Partial<KindValues[K]>): Command =>
    at(setOfKind(of, values, index, 'band'));

/** Other numbers of fluid columns: fewer at most, or wider ones. */
function* otherFluid({ arrangement, index }: Band, { kind, figures }: Finding, at: At): Generator<Candidate> {
  const set = inBandOf(index, at);
  const { minimum } = fluidOf(arrangement);
  if (kind === 'squashed') {
    const need = Math.ceil(Number(figures.need));
    if (need > minimum) yield tame(`Columns of at least ${need} px`, set('fluid', { minimum: need }));
  }
  if (kind !== 'stray' && kind !== 'hole' && kind !== 'squashed' && kind !== 'over-cropped') return;
  for (let most = 6; most >= 1; most--)
    yield tame(`At most ${most} ${most === 1 ? 'column' : 'columns'}`, set('fluid', { most }));
}

/** Fewer and wider lanes for what is squashed, more for what looks soft; higher ones where tiles run along. */
function* otherMasonry(
  { arrangement, index }: Band,
  { kind, figures, tiles: [id = ''] }: Finding,
  at: At,
): Generator<Candidate> {
  const set = inBandOf(index, at);
  const lanes = masonryOf(arrangement);
  if (kind === 'hole') {
    for (let span = Number(figures.columns) - 1; span >= 1; span--)
      yield tame(
        span === 1 ? 'Over one lane' : `Over ${span} lanes`,
        at(setSpan({ tiles: [id], band: index, setFor: 'band', columnSpan: span })),
      );
    for (const by of [-1, 1, -2, 2, -3, 3])
      yield taste(
        `Read it ${Math.abs(by)} ${by < 0 ? 'earlier' : 'later'}`,
        at((draft) => {
          const position = draft.order.indexOf(id) + by;
          if (position >= 0 && position < draft.order.length) moveInOrder([id], position)(draft);
        }),
      );
    return;
  }
  if (isAlong(arrangement)) {
    const needed = kind === 'clipped' ? [Math.ceil(Number(figures.need) / Number(figures.rows ?? 1))] : [];
    for (const px of [...needed, ...scaled(lanes.laneSize, kind)])
      yield tame(`Lanes of ${px} px`, set('masonry', { laneSize: px }));
    return;
  }
  const span = Math.max(1, Number(figures.columns ?? 1));
  for (const [does, values] of otherCount(lanes, kind, Number(figures.need) / span, 'lane'))
    yield tame(does, set('masonry', values));
}

/** Higher rows for what is squashed, lower ones for what looks soft. */
function* otherGallery({ arrangement, index }: Band, { kind }: Finding, at: At): Generator<Candidate> {
  const set = inBandOf(index, at);
  const { target, least, most, lastRow } = galleryOf(arrangement);
  for (const px of scaled(target, kind))
    yield tame(
      `Rows of about ${px} px`,
      set('gallery', { target: px, least: Math.min(least, px), most: Math.max(most, px) }),
    );
  if (kind === 'soft' && lastRow === 'justified')
    yield tame('A last row no higher than the others', set('gallery', { lastRow: 'at-most-target' }));
}

/** How many other seeds are tried. */
const SEEDS = 3;

function* otherMosaic(
  { arrangement, index }: Band,
  { kind, tiles, figures }: Finding,
  at: At,
): Generator<Candidate> {
  const set = inBandOf(index, at);
  const mosaic = mosaicOf(arrangement);
  if (kind === 'over-cropped' || kind === 'focus lost') {
    for (const mostCrop of [0.35, 0.25, 0.15])
      if (mostCrop < mosaic.mostCrop)
        yield tame(`Crop ${Math.round(mostCrop * 100)} % at most`, set('mosaic', { mostCrop }));
  }
  const span = Math.max(1, Number(figures.columns ?? 1));
  for (const [does, values] of otherCount(mosaic, kind, Number(figures.need) / span, 'module'))
    yield tame(does, set('mosaic', values));
  if (kind === 'lock lost') yield taste('Unlock it', at(setSlots({ [tiles[0] ?? '']: null }, index)));
  if (kind === 'hole' || kind === 'overlap' || kind === 'overflow') return;
  for (let more = 1; more <= SEEDS; more++) {
    const seed = (mosaic.seed + more) % LIMITS.seed;
    yield taste(`Another mosaic, seed ${seed}`, set('mosaic', { seed }));
  }
}

/** Larger cards, and wider strips, for what is squashed or clipped; smaller cards for what looks soft. */
function* otherFan({ arrangement, index }: Band, { kind, figures }: Finding, at: At): Generator<Candidate> {
  const set = inBandOf(index, at);
  const { inlineSize, blockSize } = fanOf(arrangement);
  const sizes: readonly [name: string, of: 'inlineSize' | 'blockSize', now: number][] = [
    ['wide', 'inlineSize', inlineSize],
    ['high', 'blockSize', blockSize],
  ];
  if (kind === 'clipped' && Number(figures.need) > blockSize)
    yield tame(
      `Cards ${Math.ceil(Number(figures.need))} px high`,
      set('fan', { blockSize: Math.ceil(Number(figures.need)) }),
    );
  for (const [name, of, now] of sizes)
    for (const px of scaled(now, kind)) yield tame(`Cards ${px} px ${name}`, set('fan', { [of]: px }));
}

/** Larger sizes where there is too little room, smaller ones where a picture has too few px. */
function scaled(px: number, kind: Finding['kind']): readonly number[] {
  const factors =
    kind === 'squashed' || kind === 'clipped' ? [1.15, 1.35, 1.6] : kind === 'soft' ? [0.87, 0.74, 0.6] : [];
  return factors.map((factor) => Math.min(LIMITS.track, Math.max(1, Math.round(px * factor))));
}

/** Fewer columns where they are too narrow, more where pictures are stretched over too few. */
function* otherCount(
  { count, minimum, most }: ColumnCount,
  kind: Finding['kind'],
  need: number,
  what: 'lane' | 'module',
): Generator<readonly [does: string, values: Partial<ColumnCount>]> {
  const said = (number: number) => `${number} ${number === 1 ? what : `${what}s`}`;
  if (kind === 'squashed' || kind === 'clipped') {
    if (count !== null) {
      for (let fewer = count - 1; fewer >= 1; fewer--) yield [said(fewer), { count: fewer }];
      return;
    }
    const least = Math.ceil(need);
    if (kind === 'squashed' && least > minimum)
      yield [`${what === 'lane' ? 'Lanes' : 'Modules'} of at least ${least} px`, { minimum: least }];
    for (let fewer = Math.min(most ?? 6, 6) - 1; fewer >= 1; fewer--)
      yield [`At most ${said(fewer)}`, { most: fewer }];
  }
  if (kind === 'soft') {
    if (count !== null) {
      for (let more = count + 1; more <= Math.min(LIMITS.columns, count + 3); more++)
        yield [said(more), { count: more }];
    } else if (most !== null) {
      for (let more = most + 1; more <= Math.min(LIMITS.columns, most + 3); more++)
        yield [`At most ${said(more)}`, { most: more }];
    }
  }
}
