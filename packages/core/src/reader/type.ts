import { isTag, type Element } from 'domhandler';
import { computeInherited, INITIAL_INHERITED, type InheritedStyle } from '../engine/html/inheritedStyle.js';
import { DEFAULT_UNITS, parseLength, splitArguments } from '../engine/css/parseLength.js';
import { FAMILIES, SYSTEM_STACKS } from '../parts/families.js';
import { LIMITS } from '../document/limits.js';
import type { Cascaded } from '../engine/html/cascade.js';
import type { CssNode } from 'css-tree';
import type { FluidSize, TileLook, TypeSize } from '../document/look.js';
import type { Say } from './arrangement.js';

/** The width of page at which type is read, px. */
const PAGE = 1280;
const UNITS = { ...DEFAULT_UNITS, vw: PAGE / 100, cqw: PAGE / 100 };

/** Words of which the look is meant: those that are large in a tile, or all others. */
export type Role = 'heading' | 'body';

/** How the words of a tile are set. */
export interface ReadType {
  readonly family: string;
  readonly size: TypeSize;
  readonly weight: number;
  readonly lineHeight: number;
  readonly letterSpacing: number;
}

/** The looks of words of an element, with what it inherits. */
export function typeReader(cascaded: (element: Element) => Cascaded): (element: Element) => InheritedStyle {
  const known = new Map<Element, InheritedStyle>();
  const of = (element: Element): InheritedStyle => {
    let found = known.get(element);
    if (!found) {
      const { values } = cascaded(element);
      const around = element.parent && isTag(element.parent) ? of(element.parent) : INITIAL_INHERITED;
      found = computeInherited((property) => values.get(property), around, UNITS);
      known.set(element, found);
    }
    return found;
  };
  return of;
}

const rounded = (value: number, to: number) => Math.round(value / to) * to;
const tidy = (value: number) => Number(value.toFixed(4));
const within = (value: number, [least, most]: readonly [number, number]) =>
  Math.min(most, Math.max(least, value));
const TYPE_SIZES = [LIMITS.typeSize.min, LIMITS.typeSize.max] as const;

/** How an element’s words are set, as far as a tile can have it. */
export function readType(style: InheritedStyle, size: readonly CssNode[] | undefined, say: Say): ReadType {
  const { fontSize, weight, lineHeight, letterSpacing } = style;
  const factor =
    lineHeight === null
      ? NORMAL_LINE
      : 'factor' in lineHeight
        ? lineHeight.factor
        : lineHeight.px / Math.max(1, fontSize);
  return {
    family: familyOf(style.families, say),
    size: fluidSize(size) ?? tidy(within(rounded(fontSize, 0.01), TYPE_SIZES)),
    weight: Math.round(within(weight, [100, 900])),
    lineHeight: tidy(within(rounded(factor, 0.001), [0.5, 4])),
    letterSpacing: tidy(within(rounded(letterSpacing / Math.max(1, fontSize), 0.0005), [-0.5, 2])),
  };
}

/** What `normal` comes to in most fonts. */
const NORMAL_LINE = 1.2;

/** By what generic family a font is stood for that is not there. */
const STAND_INS: readonly (readonly [RegExp, string])[] = [
  [/mono|courier|consolas|menlo/i, 'System mono'],
  [/rounded/i, 'System rounded'],
  [/(?<!sans-)serif|georgia|times|garamond|palatino/i, 'System serif'],
];

function familyOf(families: readonly string[], say: Say): string {
  const [first = 'sans-serif'] = families;
  const there = Object.keys(FAMILIES).find((name) => name.toLowerCase() === first.toLowerCase());
  if (there !== undefined) return there;
  const named = Object.entries(SYSTEM_STACKS).find(([, stack]) => stack.startsWith(first));
  if (named) return named[0];
  const generic = families.at(-1) ?? first;
  const stand =
    STAND_INS.find(([kind]) => kind.test(generic))?.[1] ?? STAND_INS.find(([kind]) => kind.test(first))?.[1];
  const used = stand ?? 'System sans';
  if (!/^(ui-|system-ui|sans-serif$|serif$|monospace$)/.test(first))
    say('font-family', `is “${first.slice(0, 60)}”, which is not here; “${used}” stands for it`);
  return used;
}

/** `clamp(25px, 18px + 1.94cqi, 46px)`: a size that grows with the page between two widths; null for another one. */
function fluidSize(nodes: readonly CssNode[] | undefined): FluidSize | null {
  const [node] = nodes ?? [];
  if (node?.type !== 'Function' || node.name !== 'clamp') return null;
  const [least, grows, most] = splitArguments(node.children.toArray());
  const [from, to] = [least, most].map((part) => parseLength(part?.[0], UNITS));
  const at = (page: number) => {
    const units = { ...UNITS, vw: page / 100, cqw: page / 100 };
    const sum = { ...node, name: 'calc', children: node.children.copy().fromArray([...(grows ?? [])]) };
    return parseLength(sum, units);
  };
  const [narrow, wide] = [at(0), at(1000)];
  if (![from, to, narrow, wide].every((each) => typeof each === 'number')) return null;
  const [base, slope] = [Number(narrow), (Number(wide) - Number(narrow)) / 1000];
  const widths = [from, to].map((size) => Math.round((Number(size) - base) / slope));
  const [fromWidth = 0, toWidth = 0] = widths;
  const isSound =
    slope > 0 &&
    fromWidth >= LIMITS.narrowest &&
    toWidth <= 10_000 &&
    fromWidth < toWidth &&
    Number(from) >= LIMITS.typeSize.min &&
    Number(to) <= LIMITS.typeSize.max;
  return isSound ? { from: tidy(Number(from)), to: tidy(Number(to)), fromWidth, toWidth } : null;
}

/** How large words are set where nothing else is said: weight, line height, letter spacing, and times the heading’s size. */
const LARGE: Readonly<Record<string, readonly [number, number, number, number]>> = {
  heading: [650, 1.15, -0.012, 1],
  figure: [680, 1, -0.035, 1.7],
  quote: [560, 1.22, -0.012, 1],
  action: [620, 1.15, -0.012, 1],
};
const BODY = [400, 1.45, 0, 1] as const;

/** What of the type of a tile’s words is other than the collection’s, as its look has it. */
export function typeLook(
  role: Role,
  part: string,
  type: ReadType,
  common: Pick<ReadType, 'family' | 'size'>,
): Partial<TileLook> {
  const [weight, lineHeight, letterSpacing, times] = role === 'body' ? BODY : (LARGE[part] ?? BODY);
  const usual =
    typeof common.size === 'number' ? tidy(common.size * times) : times === 1 ? common.size : null;
  const look = {
    ...(type.family !== common.family && { [`${role}Family`]: type.family }),
    ...(JSON.stringify(type.size) !== JSON.stringify(usual) && { [`${role}Size`]: type.size }),
    ...(type.weight !== weight && { [`${role}Weight`]: type.weight }),
    ...(type.lineHeight !== lineHeight && { [`${role}LineHeight`]: type.lineHeight }),
    ...(type.letterSpacing !== letterSpacing && { [`${role}LetterSpacing`]: type.letterSpacing }),
  };
  return look;
}
