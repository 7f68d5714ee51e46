import type { TrackSize } from '../document/types.js';

/** A track's sizing function: a length in px, or a share of what the lengths leave. */
export type TrackFunction =
  { readonly unit: 'px'; readonly value: number } | { readonly unit: 'fr'; readonly value: number };

/** A track as laid out: where it starts, from the padding edge of the grid's border box, and its size. */
export interface Track {
  readonly start: number;
  readonly size: number;
}

const TRACK = /^\+?(\d+(?:\.\d+)?|\.\d+)(px|fr)$/i;

/**
 * Reads a track size as CSS writes it (CSS Grid 2, section 7.2).
 * @returns null when the text is not a length in px or a share in fr.
 */
export function parseTrackSize(text: TrackSize): TrackFunction | null {
  const match = TRACK.exec(text.trim());
  if (!match) return null;
  return { unit: match[2]?.toLowerCase() as 'px' | 'fr', value: Number(match[1]) };
}

/** The text of a track size in its one canonical spelling: `72px`, `1.5fr`. */
export function formatTrackSize(track: TrackFunction): TrackSize {
  return `${Number(track.value.toFixed(4))}${track.unit}`;
}

/**
 * Sizes tracks along one axis in a definite space.
 *
 * An `fr` track may shrink to nothing, as `minmax(0, 1fr)` does, so content never widens it. Shares
 * that add up to less than one leave the rest empty (CSS Grid 2, 12.7.1, "find the size of an fr").
 *
 * @param space px between the paddings
 * @param gap px between two neighbours
 * @param offset px before the first track
 */
export function sizeTracks(
  tracks: readonly TrackFunction[],
  space: number,
  gap: number,
  offset: number,
): Track[] {
  let lengths = 0;
  let shares = 0;
  for (const track of tracks) {
    if (track.unit === 'px') lengths += track.value;
    else shares += track.value;
  }
  const left = Math.max(0, space - lengths - gap * Math.max(0, tracks.length - 1));
  const fr = left / Math.max(1, shares);
  let start = offset;
  return tracks.map((track) => {
    const size = track.unit === 'px' ? track.value : track.value * fr;
    const laid = { start, size };
    start += size + gap;
    return laid;
  });
}

/** Where the last track ends; the offset when there is none. */
export function tracksEnd(tracks: readonly Track[], offset: number): number {
  const last = tracks.at(-1);
  return last ? last.start + last.size : offset;
}

/** Size from the start of the first to the end of the last of `span` tracks, from 1-based `line`. */
export function spannedSize(tracks: readonly Track[], line: number, span: number): number {
  const first = tracks[line - 1];
  const last = tracks[line + span - 2];
  return first && last ? last.start + last.size - first.start : 0;
}
