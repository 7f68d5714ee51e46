import { INITIAL_STYLE, type Aligned, type ContentAlignment, type SelfAlignment } from '../box/style.js';
import { word } from './inheritedStyle.js';
import type { Nodes } from './shorthands.js';

/** `left` and `right` as the start and end that they are in a direction. */
function sideName(name: string, rtl: boolean): string {
  if (name === 'left') return rtl ? 'end' : 'start';
  if (name === 'right') return rtl ? 'start' : 'end';
  if (name === 'flex-start' || name === 'self-start') return 'start';
  if (name === 'flex-end' || name === 'self-end') return 'end';
  // Baselines are not aligned here: an item lies where it would if there were none to share.
  if (name === 'baseline' || name === 'first') return 'start';
  if (name === 'last') return 'end';
  return name;
}

const CONTENT: ReadonlySet<string> = new Set([
  'normal',
  'stretch',
  'start',
  'end',
  'center',
  'space-between',
  'space-around',
  'space-evenly',
]);
const SELF: ReadonlySet<string> = new Set(['normal', 'stretch', 'start', 'end', 'center']);

/** How tracks lie in a box that is larger than they are (CSS Box Alignment 3, section 5). */
export function contentAlignment(nodes: Nodes | undefined, rtl: boolean): Aligned<ContentAlignment> {
  const { name, safe } = aligned(nodes, rtl);
  return CONTENT.has(name) ? { at: name as ContentAlignment, safe } : INITIAL_STYLE.justifyContent;
}

/** How a box lies in its area; null: it does not say, or in a word that is not known (CSS Box Alignment 3, section 6). */
export function selfAlignment(nodes: Nodes | undefined, rtl: boolean): Aligned<SelfAlignment> | null {
  const { name, safe } = aligned(nodes, rtl);
  return SELF.has(name) ? { at: name as SelfAlignment, safe } : null;
}

function aligned(nodes: Nodes | undefined, rtl: boolean): { name: string; safe: boolean } {
  const words = nodes?.map((node) => word([node])) ?? [];
  const name = words.find((each) => each !== 'safe' && each !== 'unsafe' && each !== 'legacy') ?? '';
  return { name: sideName(name, rtl), safe: words.includes('safe') };
}
