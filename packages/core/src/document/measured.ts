import { lengthAt, type WrittenLength } from '../engine/css/writtenLength.js';
import { followsPage, trackAt } from '../engine/css/trackSize.js';
import { perObject, perObjectAnd } from '../memo.js';
import { LENGTHS_OF_KINDS } from './arrangement.js';
import { LIMITS } from './limits.js';
import type {
  Arrangement,
  CollectionDocument,
  GridHeight,
  KindValues,
  MeasuredArrangement,
  OwnPlace,
  TrackSize,
} from './types.js';

/** The least size of a column, a row or a card, px; browsers take none of columns for less either. */
const LEAST = 1;
const FIELDS = Object.keys(LENGTHS_OF_KINDS) as (keyof KindValues)[];

/** The lengths among the values of a kind, by their names. */
function lengthsOf(arrangement: Partial<Arrangement>, field: keyof KindValues): [string, WrittenLength][] {
  const values: Readonly<Record<string, unknown>> = { ...arrangement[field] };
  return LENGTHS_OF_KINDS[field].flatMap((name) => {
    const value = values[name];
    return typeof value === 'number' || typeof value === 'string' ? [[name, value]] : [];
  });
}

/** All lengths of an arrangement, as they are written. */
function lengthsIn(arrangement: Partial<Arrangement>): WrittenLength[] {
  const { columnGap, rowGap, padding, maxInlineSize, height } = arrangement;
  const frame = [
    columnGap,
    rowGap,
    ...(padding ? [padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart] : []),
    maxInlineSize,
    height?.kind === 'fixed' ? height.px : null,
  ];
  return [
    ...frame.filter((length) => length !== undefined && length !== null),
    ...FIELDS.flatMap((field) => lengthsOf(arrangement, field).map(([, length]) => length)),
  ];
}

const tracksIn = ({ columns = [], rows = [], autoRows }: Partial<Arrangement>): TrackSize[] =>
  [...columns, ...rows, ...(autoRows === undefined ? [] : [autoRows])].filter(followsPage);

/** Whether nothing of an arrangement is written otherwise than in px and in parts of what there is room for. */
export const isMeasured = (arrangement: Arrangement): arrangement is MeasuredArrangement =>
  !isWritten(arrangement);

const isWritten = perObject(
  (arrangement: Partial<Arrangement>): boolean =>
    lengthsIn(arrangement).some((length) => typeof length === 'string') || tracksIn(arrangement).length > 0,
);

/**
 * An arrangement with all its lengths in px, as they are on a page so wide: 100 % is the page’s width for the
 * padding and the greatest width, what is inside the padding for the gap between columns. One that is in px
 * already is the same object.
 * @param page px
 */
export const measured = (arrangement: Arrangement, page: number): MeasuredArrangement =>
  isMeasured(arrangement) ? arrangement : measuredAnew(arrangement, page);

/** A band’s arrangement, measured at the width that is meant. */
export const measuredIn = ({ arrangement, at }: { readonly arrangement: Arrangement; readonly at: number }) =>
  measured(arrangement, at);

const measuredAnew = perObjectAnd((arrangement: Arrangement, page: number): MeasuredArrangement => {
  const { columns, rows, autoRows, columnGap, rowGap, padding, maxInlineSize, height } = arrangement;
  const at: At = (length, basis) => lengthAt(length, page, basis);
  const sides = {
    blockStart: at(padding.blockStart),
    inlineEnd: at(padding.inlineEnd),
    blockEnd: at(padding.blockEnd),
    inlineStart: at(padding.inlineStart),
  };
  const most = maxInlineSize === null ? null : at(maxInlineSize);
  const inner = Math.max(0, Math.min(page, most ?? Infinity) - sides.inlineStart - sides.inlineEnd);
  return {
    ...(arrangement as Omit<Arrangement, 'height' | keyof KindValues>),
    ...valuesOfKinds(arrangement, at),
    columns: columns.map((track) => trackAt(track, page)),
    rows: rows.map((track) => trackAt(track, page)),
    autoRows: trackAt(autoRows, page),
    columnGap: at(columnGap, inner),
    rowGap: at(rowGap, 0),
    padding: sides,
    maxInlineSize: most,
    ...(height && { height: measuredHeight(height, at) }),
  };
});

type At = (length: WrittenLength, basis?: number) => number;

const measuredHeight = (height: GridHeight, at: At): GridHeight<number> =>
  height.kind === 'fixed' ? { ...height, px: at(height.px, 0) } : height;

function valuesOfKinds(arrangement: Arrangement, at: At): Partial<KindValues<number>> {
  const given = FIELDS.filter((field) => arrangement[field] !== undefined);
  return Object.fromEntries(
    given.map((field) => {
      const lengths = lengthsOf(arrangement, field).map(([name, length]) => [
        name,
        Math.max(name === 'strip' ? 0 : LEAST, at(length)),
      ]);
      return [field, { ...arrangement[field], ...(Object.fromEntries(lengths) as Record<string, number>) }];
    }),
  );
}

/**
 * The whole widths at which lengths that follow the page’s width stop being straight lines of it, px: at them
 * and right after them something bends. None where all are in px.
 */
export const lengthBends = (arrangement: Arrangement): readonly number[] =>
  isMeasured(arrangement) ? [] : bendsOf(arrangement);

const STRAIGHT = 1e-6;

const bendsOf = perObject((arrangement: Arrangement): readonly number[] => {
  const at = (page: number): readonly number[] => {
    const here = measuredAnew(arrangement, page);
    return [Math.min(page, here.maxInlineSize ?? page), ...lengthsIn(here).map(Number)];
  };
  const bends: number[] = [];
  let before = at(LIMITS.narrowest - 1);
  let here = at(LIMITS.narrowest);
  for (let page: number = LIMITS.narrowest; page <= LIMITS.widest; page++) {
    const next = at(page + 1);
    const isBent = here.some(
      (value, k) => Math.abs((next[k] ?? 0) - 2 * value + (before[k] ?? 0)) > STRAIGHT,
    );
    if (isBent) bends.push(page, page + 1);
    [before, here] = [here, next];
  }
  return [...new Set(bends)];
});

/** Whether any arrangement of a collection, or a tile in it, has lengths that are not in px. */
export const hasWrittenLengths = perObject(({ arrangement, bands, tiles }: CollectionDocument): boolean => {
  const all: Partial<Arrangement>[] = [arrangement, ...bands.map((band) => band.arrangement)];
  const places: Pick<OwnPlace, 'fit'>[] = bands.flatMap((band) => Object.values(band.tiles));
  for (const tile of Object.values(tiles)) {
    places.push(tile.place);
    if (tile.kind === 'group') all.push(tile.arrangement);
  }
  for (const { groups = {} } of bands) all.push(...Object.values(groups));
  return (
    all.some(isWritten) ||
    places.some(({ fit }) => typeof fit?.inlineSize === 'string' || typeof fit?.blockSize === 'string')
  );
});
