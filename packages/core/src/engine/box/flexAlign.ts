import type { Box } from './box.js';
import type { Aligned, ContentAlignment } from './style.js';

/** What each automatic margin of a line gets of the space left over. */
export function autoMarginShare(
  boxes: readonly Box[],
  free: number,
  axis: 'inline' | 'block',
): { readonly count: number; readonly share: number } {
  const sides = axis === 'inline' ? ([1, 3] as const) : ([0, 2] as const);
  let count = 0;
  for (const { style } of boxes) for (const side of sides) if (style.margin[side] === 'auto') count++;
  return { count, share: count > 0 ? Math.max(0, free) / count : 0 };
}

/** Where the first item of a line begins, and what is added between neighbours (Flexbox 1, section 8.2). */
export function alignOffset(
  free: number,
  count: number,
  { at, safe }: Aligned<ContentAlignment>,
): { readonly offset: number; readonly between: number } {
  const distributes = at.startsWith('space');
  if (free < 0 && (safe || distributes)) return { offset: 0, between: 0 };
  switch (at) {
    case 'end':
      return { offset: free, between: 0 };
    case 'center':
      return { offset: free / 2, between: 0 };
    case 'space-between':
      return { offset: 0, between: count > 1 ? free / (count - 1) : 0 };
    case 'space-around':
      return count > 0 ? { offset: free / count / 2, between: free / count } : { offset: 0, between: 0 };
    case 'space-evenly':
      return { offset: free / (count + 1), between: free / (count + 1) };
    default:
      return { offset: 0, between: 0 };
  }
}
