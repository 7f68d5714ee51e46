import type { Aligned, ContentAlignment } from '../box/style.js';
import type { AxisTracks } from './tracks.js';

/**
 * Where every track starts (CSS Box Alignment 3, section 5.3): `starts[k]` from the content edge, px.
 * Collapsed tracks lie where the next one starts; gutters beside them coincide.
 * @param free px left in the container; may be negative
 */
export function alignTracks(
  { baseSize, collapsed, count }: AxisTracks,
  gap: number,
  free: number,
  alignment: Aligned<ContentAlignment>,
): { readonly starts: Float64Array; readonly between: number; readonly origin: number } {
  let open = 0;
  for (let k = 0; k < count; k++) if (collapsed[k] === 0) open++;
  const { offset, between } = contentOffset(free, open, alignment);
  const starts = new Float64Array(count);
  let at = offset;
  for (let k = 0; k < count; k++) {
    starts[k] = at;
    if (collapsed[k] === 0) at += (baseSize[k] as number) + gap + between;
  }
  return { starts, between: gap + between, origin: offset };
}

/** The space before the first track, and what is added to every gap. */
function contentOffset(
  free: number,
  tracks: number,
  { at, safe }: Aligned<ContentAlignment>,
): { offset: number; between: number } {
  if (safe && free < 0) return { offset: 0, between: 0 };
  switch (at) {
    case 'normal':
    case 'stretch':
    case 'start':
      return { offset: 0, between: 0 };
    case 'end':
      return { offset: free, between: 0 };
    case 'center':
      return { offset: free / 2, between: 0 };
    case 'space-between':
      return { offset: 0, between: free > 0 && tracks > 1 ? free / (tracks - 1) : 0 };
    case 'space-around':
      if (free <= 0 || tracks === 0) return { offset: 0, between: 0 };
      return { offset: free / tracks / 2, between: free / tracks };
    case 'space-evenly':
      if (free <= 0 || tracks === 0) return { offset: 0, between: 0 };
      return { offset: free / (tracks + 1), between: free / (tracks + 1) };
  }
}
