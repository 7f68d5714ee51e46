import type { Element } from 'domhandler';
import { resolveLength } from '../engine/css/length.js';
import type { Box } from '../engine/box/box.js';

/** How far the contents of a box are from its edges and from each other, besides its padding, px. */
export interface Air {
  readonly before: number;
  readonly after: number;
  /** Between each of them and the next. */
  readonly between: readonly number[];
}

/** What is one part, whatever it holds. */
const WHOLE = /^(ul|ol|menu|dl|blockquote|figure|table|p|h[1-6]|picture|svg|video|a|button)$/;
/** What lies in one text, paragraph after paragraph. */
const PROSE = /^(p|ul|ol|menu)$/;
/** Shares of margins and paddings are of the width of a tile, which is not known here. */
const UNKNOWN_WIDTH = 0;

/**
 * The air in a box by the margins of what it holds (CSS 2.2, 8.3.1: in a block they collapse) and by its gap.
 * @returns null where its contents stand beside each other
 */
export function airIn(box: Box, elementOf: (box: Box) => Element | undefined): Air | null {
  const { display, flexDirection, rowGap } = box.style;
  if (display === 'flex' && flexDirection !== 'column') return null;
  if (display !== 'flex' && display !== 'block' && display !== 'grid') return null;
  const gap = display === 'block' || typeof rowGap !== 'number' ? 0 : rowGap;
  const shown = box.children.filter(({ style }) => style.display !== 'none' && style.position !== 'absolute');
  let before = 0;
  let after = 0;
  let last = '';
  const between: number[] = [];
  shown.forEach((child, k) => {
    const own = around(child, elementOf);
    const name = elementOf(child)?.name ?? '';
    if (k === 0) before = own.before;
    else if (!PROSE.test(last) || !PROSE.test(name))
      between.push(display === 'block' ? Math.max(after, own.before) : after + gap + own.before);
    between.push(...own.between);
    after = own.after;
    last = name;
  });
  return { before, after, between };
}

/** The air around a box by its margins, and in it where it only holds others. */
function around(box: Box, elementOf: (box: Box) => Element | undefined): Air {
  const { margin, padding, border } = box.style;
  const of = (side: 0 | 2) => {
    const value = margin[side];
    return value === 'auto' ? 0 : Math.max(0, resolveLength(value, UNKNOWN_WIDTH));
  };
  const own = { before: of(0), after: of(2), between: [] };
  const name = elementOf(box)?.name ?? '';
  const holds = box.text === null && box.children.length > 0 && !WHOLE.test(name);
  const inner = holds ? airIn(box, elementOf) : null;
  if (!inner) return own;
  const edge = (side: 0 | 2) => border[side] + resolveLength(padding[side], UNKNOWN_WIDTH);
  // Margins of the first and last of a block collapse with its own, unless something lies between.
  const joined = (side: 0 | 2, outside: number, inside: number) =>
    box.style.display === 'block' && edge(side) === 0
      ? Math.max(outside, inside)
      : outside + edge(side) + inside;
  return {
    before: joined(0, own.before, inner.before),
    after: joined(2, own.after, inner.after),
    between: inner.between,
  };
}

/** The distance that most contents have from the next, px, and whether all have it; null where there is only one. */
export function commonGap({ between }: Air): { readonly gap: number; readonly isEven: boolean } | null {
  const counts = new Map<number, number>();
  for (const each of between) counts.set(each, (counts.get(each) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most ? { gap: most[0], isEven: between.every((each) => Math.abs(each - most[0]) < 0.5) } : null;
}
