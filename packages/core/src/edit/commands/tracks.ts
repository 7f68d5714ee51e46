import { bandsOf, placeIn } from '../../document/bands.js';
import { resolvedBands } from '../../arrangements/bands.js';
import { cellsOf } from '../../arrangements/cells.js';
import { shareOfRows } from '../../arrangements/shared/rowSizes.js';
import { mapRows, NO_AREA } from '../../arrangements/bento/areaMap.js';
import { LIMITS } from '../../document/limits.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import { explicitIds, explicitTracks, setArrangement, setTracks, type SetTrack } from './arrangement.js';
import { setPin, setSpan, type SetFor } from './place.js';
import type { Command } from '../patch/change.js';
import type { Draft } from './draft.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

export type WhichTrack = Omit<SetTrack, 'size'>;

/**
 * Puts a new track before the one at `index` (from 0; one past the last puts it at the end): a copy
 * of a track when one is given, else an even share or a common row. Tiles across that line grow over
 * the new track, pins and areas after it move along.
 */
export function insertTrack(which: WhichTrack, copyOf?: number): Command {
  return (draft) => {
    const { axis, index, band, setFor } = which;
    const before = shape(draft, which);
    const sizes = explicitTracks(draft, axis, band, index);
    if (sizes.length >= (axis === 'column' ? LIMITS.columns : LIMITS.rows)) return;
    const common = axis === 'column' ? '1fr' : arrangementOf(draft, band).autoRows;
    sizes.splice(
      index,
      0,
      copyOf === undefined ? common : (explicitTracks(draft, axis, band, copyOf + 1)[copyOf] ?? common),
    );
    const ids = explicitIds(draft, axis, band, sizes.length - 1).toSpliced(index, 0, '');
    setTracks(axis, sizes, band, setFor, ids)(draft);
    reshape(draft, which, before, 1);
    editMap(draft, which, (cells) => {
      const [left, right] = [cells[index - 1], cells[index]];
      return [...cells.slice(0, index), left === right && left ? left : NO_AREA, ...cells.slice(index)];
    });
  };
}

/** Takes a track away. Tiles across it shrink by it, pins and areas after it move along. The last column stays. */
export function removeTrack(which: WhichTrack): Command {
  return (draft) => {
    const { axis, index, band, setFor } = which;
    const before = shape(draft, which);
    const sizes = explicitTracks(draft, axis, band, axis === 'row' ? index + 1 : 0);
    if (index >= sizes.length || (axis === 'column' && sizes.length === 1)) return;
    const ids = explicitIds(draft, axis, band, sizes.length).toSpliced(index, 1);
    sizes.splice(index, 1);
    // Columns first would pull pins in before they have moved along.
    reshape(draft, which, before, -1);
    setTracks(axis, sizes, band, setFor, ids)(draft);
    editMap(draft, which, (cells) => cells.filter((_, k) => k !== index));
  };
}

/** Makes all tracks of an axis the same: even shares of the width, or of a height that is given, or the common row. */
export function evenTracks({ axis, band, setFor }: Pick<WhichTrack, 'axis' | 'band' | 'setFor'>): Command {
  return (draft) => {
    const { autoRows, height } = arrangementOf(draft, band);
    const common = axis === 'column' ? '1fr' : autoRows;
    if (axis === 'row' && height && height.kind !== 'content' && height.rows !== 'share')
      setArrangement({ height: { ...height, rows: 'share' } }, band, setFor)(draft);
    setTracks(
      axis,
      explicitTracks(draft, axis, band).map(() => common),
      band,
      setFor,
    )(draft);
  };
}

export interface MoveBoundary extends WhichTrack {
  /** How far the end of the track is moved, px. */
  readonly by: number;
  /** The tracks' sizes as laid out, px. */
  readonly sizes: readonly number[];
}

const LEAST = 4;

/**
 * Moves the end of a track. Two shares beside each other pass theirs on, as rows do that share a height; a share beside px leaves
 * the other's px to give; any other track takes the px that it comes to.
 */
export function moveBoundary({ axis, index, band, setFor, by, sizes }: MoveBoundary): Command {
  return (draft) => {
    const isShared = axis === 'row' && shareOfRows(arrangementOf(draft, band)) !== null;
    const tracks = explicitTracks(
      draft,
      axis,
      band,
      isShared ? Math.min(index + 2, sizes.length) : index + 1,
    );
    const [size = 0, next = 0] = [sizes[index], sizes[index + 1]];
    const [own, after] = [plainTrackSize(tracks[index] ?? ''), plainTrackSize(tracks[index + 1] ?? '')];
    const px = (value: number) => `${Math.min(LIMITS.track, Math.max(LEAST, Math.round(value)))}px`;
    const passesOn = isShared || own?.unit === 'fr';
    if (own && after && passesOn && own.unit === after.unit) {
      const both = own.value + after.value;
      const share = Number(
        ((both * Math.min(size + next - LEAST, Math.max(LEAST, size + by))) / (size + next)).toFixed(2),
      );
      tracks[index] = `${share}${own.unit}`;
      tracks[index + 1] = `${Number((both - share).toFixed(2))}${own.unit}`;
    } else if (own?.unit === 'fr' && after?.unit === 'px') tracks[index + 1] = px(next - by);
    else if (isShared && own && size > 0) tracks[index] = px((own.value * (size + by)) / size);
    else tracks[index] = px(size + by);
    setTracks(axis, tracks, band, setFor)(draft);
  };
}

const arrangementOf = (document: CollectionDocument, band: number) =>
  bandsOf(document)[band]?.arrangement ?? document.arrangement;

/** Where each tile lies along the axis before the tracks change. */
function shape(draft: Draft, { axis, band }: WhichTrack): Map<TileId, { start: number; span: number }> {
  const resolved = resolvedBands(draft)[band];
  const areas = resolved ? cellsOf(draft, resolved) : [];
  return new Map(
    areas.map(({ column, columnSpan, row, rowSpan }, k) => [
      draft.order[k] as TileId,
      axis === 'column' ? { start: column - 1, span: columnSpan } : { start: row - 1, span: rowSpan },
    ]),
  );
}

function reshape(
  draft: Draft,
  { axis, index, band, setFor }: WhichTrack,
  before: ReadonlyMap<TileId, { start: number; span: number }>,
  by: 1 | -1,
): void {
  for (const [id, { start, span }] of before) {
    const tile = draft.tiles[id];
    if (!tile) continue;
    const { pin } = placeIn(draft, tile, band);
    const crosses =
      by === 1 ? start < index && index < start + span : start <= index && index < start + span && span > 1;
    if (crosses) {
      setSpan({ tiles: [id], band, setFor, [axis === 'column' ? 'columnSpan' : 'rowSpan']: span + by })(
        draft,
      );
    }
    const isAfter = by === 1 ? start >= index : start > index;
    if (pin && isAfter) setPin([id], band, { ...pin, [axis]: pin[axis] + by })(draft);
  }
}

/** Edits the map of areas along the axis, so that its names stay with their tracks. */
function editMap(
  draft: Draft,
  { axis, index, band, setFor }: WhichTrack,
  edit: (cells: readonly string[]) => string[],
): void {
  const { areas = [], columns } = arrangementOf(draft, band);
  if (areas.length === 0) return;
  const rows = mapRows({ areas, columns: axis === 'column' ? [...columns, ...columns] : columns });
  const width = areas[0]?.trim().split(/\s+/).length ?? 0;
  const cut = rows.map((row) => row.slice(0, width));
  let edited: string[][];
  if (axis === 'column') edited = index > width ? cut : cut.map(edit);
  else if (index > cut.length) edited = cut;
  else {
    const perColumn = Array.from({ length: width }, (_, k) => edit(cut.map((row) => row[k] ?? NO_AREA)));
    edited = (perColumn[0] ?? []).map((_, r) => perColumn.map((cells) => cells[r] ?? NO_AREA));
  }
  setMap(edited, band, setFor)(draft);
}

/** Sets the map of areas; without a name left it goes altogether. */
export function setMap(rows: readonly (readonly string[])[], band: number, setFor: SetFor): Command {
  const named = rows.filter((row) => row.length > 0);
  while (named.length > 0 && named.at(-1)?.every((name) => name === NO_AREA)) named.pop();
  return setArrangement({ areas: named.map((row) => row.join(' ')) }, band, setFor);
}
