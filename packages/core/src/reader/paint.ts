import { formatHex, parse } from 'culori';
import { generate } from '../engine/css/tree.js';
import { LIMITS } from '../document/limits.js';
import { parseLength, splitArguments, type Units } from '../engine/css/parseLength.js';
import type { CssNode, FunctionNode } from 'css-tree';
import type { Gradient, GradientStop, Paint } from '../document/look.js';

/** A colour as a page has it. */
export interface ReadColour {
  /** `#rrggbb` */
  readonly colour: string;
  /** 0 to 1. */
  readonly opacity: number;
}

const rounded = (value: number) => Math.round(value * 1000) / 1000;

/** A colour in any of the ways that CSS Color 4 has; null where it is none, or follows the text (`currentcolor`). */
export function readColour(node: CssNode | undefined): ReadColour | null {
  if (!node) return null;
  const mixed = node.type === 'Function' && node.name === 'color-mix' ? readMixed(node) : null;
  if (mixed) return mixed;
  const found = parse(generate(node));
  return found ? { colour: formatHex(found), opacity: rounded(found.alpha ?? 1) } : null;
}

/** A colour with less of it: `color-mix(in srgb, #123456 40%, transparent)`. */
function readMixed(node: FunctionNode): ReadColour | null {
  const [, first = [], second = []] = splitArguments(node.children.toArray());
  const clear = readColour(second[0]);
  const colour = readColour(first.find(({ type }) => type !== 'Percentage'));
  const share = first.find(({ type }) => type === 'Percentage');
  if (!colour || clear?.opacity !== 0 || share?.type !== 'Percentage') return null;
  return { ...colour, opacity: rounded((colour.opacity * Number(share.value)) / 100) };
}

/** A colour as a fill or a line is painted with it. */
export const paintOf = ({ colour, opacity }: ReadColour): Paint =>
  opacity >= 1 ? colour : { kind: 'plain', colour, opacity };

const DEGREES: Readonly<Record<string, number>> = { deg: 1, turn: 360, grad: 0.9, rad: 180 / Math.PI };
const SIDES: Readonly<Record<string, number>> = { top: 0, right: 90, bottom: 180, left: 270 };
/** A keyword of a position, as a share. */
const PLACES: Readonly<Record<string, number>> = { left: 0, top: 0, center: 0.5, right: 1, bottom: 1 };

/** A gradient (CSS Images 4, section 3); null where it is none that a tile can be filled with. */
export function readGradient(node: CssNode, units: Units): Gradient | null {
  if (node.type !== 'Function') return null;
  const [head = [], ...rest] = splitArguments(node.children.toArray());
  const isHead = readColour(head[0]) === null;
  const stops = readStops(isHead ? rest : [head, ...rest], units);
  if (!stops) return null;
  const words = isHead ? head.filter((each) => !isWord(each, ['in', 'srgb'])) : [];
  switch (node.name) {
    case 'linear-gradient': {
      const angle = words.length === 0 ? 180 : angleOf(words);
      return angle === null ? null : { kind: 'linear', angle, stops };
    }
    case 'radial-gradient': {
      const at = placeOf(words, units);
      const radii = words.flatMap((each) => (each.type === 'Percentage' ? [Number(each.value) / 100] : []));
      const [x = 0, y = 0] = radii;
      const isShaped = words.findIndex((each) => isWord(each, ['at'])) >= 2 && x > 0 && y > 0;
      if (!at) return null;
      return { kind: 'radial', ...at, ...(isShaped && { radii: { x, y } }), stops };
    }
    case 'conic-gradient': {
      const at = placeOf(words, units);
      const from = words.findIndex((each) => isWord(each, ['from']));
      return (
        at && {
          kind: 'conic',
          ...at,
          angle: (from < 0 ? 0 : angleOf(words.slice(from + 1, from + 2))) ?? 0,
          stops,
        }
      );
    }
    default:
      return null;
  }
}

export const isWord = (node: CssNode, words: readonly string[]) =>
  node.type === 'Identifier' && words.includes(node.name.toLowerCase());

/** Degrees clockwise from the top; null where the words are no angle and no side. */
function angleOf(words: readonly CssNode[]): number | null {
  const [first, ...others] = words;
  if (first?.type === 'Dimension') {
    const times = DEGREES[first.unit.toLowerCase()];
    return times === undefined ? null : rounded(Number(first.value) * times);
  }
  if (!first || !isWord(first, ['to'])) return null;
  const sides = others.flatMap((each) =>
    each.type === 'Identifier' ? [SIDES[each.name.toLowerCase()]] : [],
  );
  const [one, other] = sides;
  if (one === undefined) return null;
  if (other === undefined) return one;
  // A corner is met exactly in a square only; elsewhere this is a few degrees off.
  const [low, high] = [Math.min(one, other), Math.max(one, other)];
  return high - low === 270 ? 315 : (low + high) / 2;
}

/** Where the middle lies, as shares; the middle of the tile where nothing is said, null where it is px. */
function placeOf(words: readonly CssNode[], units: Units): { readonly x: number; readonly y: number } | null {
  const at = words.findIndex((each) => isWord(each, ['at']));
  return at < 0 ? { x: 0.5, y: 0.5 } : sharesOf(words.slice(at + 1), units);
}

/** A place as shares (CSS Values 4, section 7.1), none of its sides with a length of its own; null where it is px. */
export function sharesOf(
  words: readonly CssNode[],
  units: Units,
): { readonly x: number; readonly y: number } | null {
  const shares = words.map((each) => {
    if (each.type === 'Identifier') return PLACES[each.name.toLowerCase()];
    const length = parseLength(each, units);
    return typeof length === 'object' && length?.of === 'percent'
      ? length.percent / 100
      : length === 0
        ? 0
        : undefined;
  });
  const [x, y = 0.5] = shares;
  if (x === undefined || shares.includes(undefined)) return null;
  // “top” alone is a place along the other axis.
  const [first] = words;
  const isDown = shares.length === 1 && first !== undefined && isWord(first, ['top', 'bottom']);
  const within = (share: number) => Math.max(-LIMITS.outside, Math.min(1 + LIMITS.outside, share));
  return isDown ? { x: 0.5, y: within(x) } : { x: within(x), y: within(y) };
}

/** The stops of a gradient, those without a place put evenly between their neighbours (section 3.5.3). */
function readStops(parts: readonly (readonly CssNode[])[], units: Units): GradientStop[] | null {
  const read = parts.flatMap((part) => {
    const colour = readColour(part[0]);
    const places = part.slice(1).map((each) => {
      const length = parseLength(each, units);
      if (length === 0) return 0;
      return typeof length === 'object' && length?.of === 'percent' ? length.percent / 100 : NaN;
    });
    if (!colour) return [null];
    return (places.length > 0 ? places : [undefined]).map((at) => ({ ...colour, at }));
  });
  if (read.length < 2 || read.length > LIMITS.stops) return null;
  const stops: { colour: string; opacity: number; at: number | undefined }[] = [];
  for (const stop of read) {
    if (!stop || Number.isNaN(stop.at)) return null;
    stops.push({ ...stop });
  }
  const last = stops.length - 1;
  let least = 0;
  for (const [k, stop] of stops.entries()) {
    if (stop.at === undefined && (k === 0 || k === last)) stop.at = k === 0 ? 0 : 1;
    if (stop.at !== undefined) least = stop.at = Math.min(1, Math.max(least, stop.at));
  }
  for (let k = 1; k < last; k++) {
    if (stops[k]?.at !== undefined) continue;
    const before = stops[k - 1]?.at ?? 0;
    const next = stops.findIndex(({ at }, later) => later > k && at !== undefined);
    (stops[k] as { at: number }).at = before + ((stops[next]?.at ?? 1) - before) / (next - k + 1);
  }
  return stops.map(({ colour, opacity, at = 0 }) => ({
    colour,
    at: rounded(at),
    ...(opacity < 1 && { opacity }),
  }));
}
