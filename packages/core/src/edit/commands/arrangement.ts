import { clone } from '../../document/clone.js';
import { LIMITS } from '../../document/limits.js';
import { bandsOf } from '../../document/bands.js';
import { shareAsRow, shareOfRows } from '../../arrangements/shared/rowSizes.js';
import { formatTrackSize } from '../../engine/css/trackSize.js';
import { TRACK_LIKE } from '../../document/spellings.js';
import { writeBand, type Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { ArrangementValues, CollectionDocument, TrackSize } from '../../document/types.js';
import type { SetFor } from './place.js';

/** Sets values of the arrangement in one band, or in all bands alike. */
export function setArrangement(values: Partial<ArrangementValues>, band: number, setFor: SetFor): Command {
  return (draft) => {
    const copy = structuredCopy(withTrackIds(draft, values, band));
    if (setFor === 'all' || band === 0) Object.assign(draft.arrangement, copy);
    else Object.assign(writeBand(draft, band).arrangement, copy);
    if (setFor === 'all') {
      for (const each of draft.bands) forget(each.arrangement, Object.keys(copy));
    }
  };
}

/** Tracks keep their ids by their place, unless it is said which is which; one that is new has an empty id until it is named. */
function withTrackIds(
  document: CollectionDocument,
  values: Partial<ArrangementValues>,
  band: number,
): Partial<ArrangementValues> {
  const present = bandsOf(document)[band]?.arrangement ?? document.arrangement;
  const ids = (count: number, known: readonly string[] = []) =>
    Array.from({ length: count }, (_, k) => known[k] ?? '');
  return {
    ...(values.columns && { columnIds: ids(values.columns.length, present.columnIds) }),
    ...(values.rows &&
      (values.rows.length > 0 || present.rowIds) && {
        rowIds: ids(values.rows.length, present.rowIds),
      }),
    ...values,
  };
}

/** Sets the number of columns: even shares are added, or tracks taken away, at the end. */
export function setColumnCount(count: number, band: number, setFor: SetFor): Command {
  return (draft) => {
    const present = bandsOf(draft)[band]?.arrangement.columns ?? [];
    const wanted = Math.min(LIMITS.columns, Math.max(1, Math.round(count) || 1));
    const columns = Array.from({ length: wanted }, (_, k) => present[k] ?? '1fr');
    setArrangement({ columns }, band, setFor)(draft);
  };
}

export interface SetTrack {
  readonly axis: 'column' | 'row';
  /** From 0. A row after the explicit ones makes all rows up to it explicit. */
  readonly index: number;
  readonly size: TrackSize;
  readonly band: number;
  readonly setFor: SetFor;
}

/**
 * Sets one track's size; where rows share a height, a share of it is what it counts there.
 * @throws RangeError when the text is no track size; its message says what to write
 */
export function setTrack({ axis, index, size, band, setFor }: SetTrack): Command {
  const written = formatTrackSize(size);
  if (written === null) throw new RangeError(`${TRACK_LIKE}; here it is “${size}”.`);
  return (draft) => {
    const sizes = explicitTracks(draft, axis, band, index + 1);
    if (index >= sizes.length) return;
    const own = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    sizes[index] = axis === 'row' ? shareAsRow(written, shareOfRows(own)) : written;
    setTracks(axis, sizes, band, setFor)(draft);
  };
}

/** The sizes of an axis as written, with common rows made explicit up to a count. */
export function explicitTracks(
  document: CollectionDocument,
  axis: 'column' | 'row',
  band: number,
  least = 0,
): TrackSize[] {
  const arrangement = bandsOf(document)[band]?.arrangement ?? document.arrangement;
  if (axis === 'column') return [...arrangement.columns];
  const length = Math.max(arrangement.rows.length, least);
  return Array.from({ length }, (_, k) => arrangement.rows[k] ?? arrangement.autoRows);
}

/**
 * Sets all tracks of an axis.
 * @param ids which track each is; left out: by its place
 */
export const setTracks = (
  axis: 'column' | 'row',
  sizes: readonly TrackSize[],
  band: number,
  setFor: SetFor,
  ids?: readonly string[],
): Command =>
  setArrangement(
    axis === 'column'
      ? { columns: sizes, ...(ids && { columnIds: ids }) }
      : { rows: sizes, ...(ids && { rowIds: ids }) },
    band,
    setFor,
  );

/** The ids of explicit tracks, as many as there are; empty for those that have none yet. */
export function explicitIds(
  document: CollectionDocument,
  axis: 'column' | 'row',
  band: number,
  count: number,
): string[] {
  const { columnIds = [], rowIds = [] } = bandsOf(document)[band]?.arrangement ?? document.arrangement;
  const ids = axis === 'column' ? columnIds : rowIds;
  return Array.from({ length: count }, (_, k) => ids[k] ?? '');
}

/** Puts one track back to what it is without a value of its own: an even share, the common row. */
export function resetTrack(track: Pick<SetTrack, 'axis' | 'index' | 'band' | 'setFor'>): Command {
  return (draft) => {
    const { arrangement } = bandsOf(draft)[track.band] ?? { arrangement: draft.arrangement };
    if (track.axis === 'column') return setTrack({ ...track, size: '1fr' })(draft);
    if (track.index >= arrangement.rows.length) return;
    const rows = arrangement.rows.map((old, k) => (k === track.index ? arrangement.autoRows : old));
    while (rows.length > 0 && rows.at(-1) === arrangement.autoRows) rows.pop();
    setArrangement({ rows }, track.band, track.setFor)(draft);
  };
}

/** Takes back what a band sets of the arrangement, so that it is inherited again. */
export function inheritArrangement(band: number, values: readonly (keyof ArrangementValues)[]): Command {
  return (draft) => forget(writeBand(draft, band).arrangement, values);
}

function forget(own: Draft['bands'][number]['arrangement'], values: readonly string[]) {
  for (const value of values) delete own[value as keyof ArrangementValues];
  if (own.columns === undefined) delete own.columnIds;
  if (own.rows === undefined) delete own.rowIds;
}

/** Immer freezes what it takes in, so the caller keeps an object of their own. */
function structuredCopy(values: Partial<ArrangementValues>) {
  return clone(values) as Draft['bands'][number]['arrangement'];
}

/** Sets the number of columns and of explicit rows: tracks are kept, added at the end, or taken away there. */
export function setGrid(columns: number, rows: number, band: number, setFor: SetFor): Command {
  return (draft) => {
    setColumnCount(columns, band, setFor)(draft);
    const wanted = Math.min(LIMITS.rows, Math.max(0, Math.round(rows) || 0));
    const sizes = explicitTracks(draft, 'row', band, wanted).slice(0, wanted);
    setArrangement({ rows: sizes }, band, setFor)(draft);
  };
}
