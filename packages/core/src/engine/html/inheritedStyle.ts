import { parseLength, parseNumber, type Units } from '../css/parseLength.js';
import { resolveLength } from '../css/length.js';
import type { Nodes } from './shorthands.js';

/** What an element hands down to those in it. */
export interface InheritedStyle {
  readonly direction: 'ltr' | 'rtl';
  readonly fontSize: number;
  readonly families: readonly string[];
  readonly weight: number;
  readonly italic: boolean;
  /** `font-feature-settings` and `font-variation-settings` as they are written; `normal` where nothing is set. */
  readonly features: string;
  readonly axes: string;
  /** A factor of the font size, px, or null for what the font says. */
  readonly lineHeight: { readonly factor: number } | { readonly px: number } | null;
  readonly letterSpacing: number;
  readonly whiteSpace: string;
  readonly wraps: boolean;
  readonly overflowWrap: string;
  readonly wordBreak: string;
  /** To which side of its box each line goes. */
  readonly textAlign: 'start' | 'center' | 'end';
  /** Whether lines are about as long as each other (CSS Text 4, section 6.3.1). */
  readonly balances: boolean;
}

export const INITIAL_INHERITED: InheritedStyle = {
  direction: 'ltr',
  fontSize: 16,
  families: ['serif'],
  weight: 400,
  italic: false,
  features: 'normal',
  axes: 'normal',
  lineHeight: null,
  letterSpacing: 0,
  whiteSpace: 'normal',
  wraps: true,
  overflowWrap: 'normal',
  wordBreak: 'normal',
  textAlign: 'start',
  balances: false,
};

/** The word that a value begins with, in small letters; nothing when it is no word. */
export const word = (nodes: Nodes | undefined) =>
  nodes?.[0]?.type === 'Identifier' ? nodes[0].name.toLowerCase() : '';

/** Pairs of a tag and a number, written as in a style sheet of ours; null where nothing is said. */
function settings(nodes: Nodes | undefined): string | null {
  if (!nodes || word(nodes) === 'inherit') return null;
  const said = nodes.map((node) =>
    node.type === 'String'
      ? `"${node.value}"`
      : node.type === 'Number'
        ? ` ${node.value}`
        : node.type === 'Operator'
          ? ', '
          : '',
  );
  return said.join('') || 'normal';
}

/** Reads what an element hands on to those in it: the look of its words, and where they read from. */
export function computeInherited(
  get: (property: string) => Nodes | undefined,
  parent: InheritedStyle,
  base: Omit<Units, 'em'>,
): InheritedStyle {
  const inParent: Units = { ...base, em: parent.fontSize };
  const sizeNode = get('font-size')?.[0];
  const named = FONT_SIZES[word(get('font-size'))];
  const fontSize =
    named ?? resolveLength(parseLength(sizeNode, inParent) ?? parent.fontSize, parent.fontSize);
  const units: Units = { ...base, em: fontSize };
  const weightName = word(get('font-weight'));
  const weight =
    parseNumber(get('font-weight')?.[0], units) ??
    {
      normal: 400,
      bold: 700,
      bolder: Math.min(900, parent.weight + 300),
      lighter: Math.max(100, parent.weight - 300),
    }[weightName] ??
    parent.weight;
  const families = get('font-family')
    ?.reduce<string[][]>(
      (list, node) => {
        if (node.type === 'Operator') list.push([]);
        else if (node.type === 'String') list.at(-1)?.push(node.value);
        else if (node.type === 'Identifier' && node.name !== 'inherit') list.at(-1)?.push(node.name);
        return list;
      },
      [[]],
    )
    .map((words) => words.join(' '))
    .filter((name) => name !== '');
  const lineNode = get('line-height')?.[0];
  const factor = parseNumber(lineNode, units);
  const lineLength = parseLength(lineNode, units);
  const direction = word(get('direction'));
  const style = word(get('font-style'));
  const whiteSpace = word(get('white-space')) || parent.whiteSpace;
  const wrapMode = word(get('text-wrap')) || word(get('text-wrap-mode'));
  const own = (property: string, otherwise: string) => {
    const name = word(get(property));
    return name === '' || name === 'inherit' ? otherwise : name;
  };
  return {
    direction: direction === 'rtl' || direction === 'ltr' ? direction : parent.direction,
    fontSize: Math.max(0, fontSize),
    families: families && families.length > 0 ? families : parent.families,
    weight,
    features: settings(get('font-feature-settings')) ?? parent.features,
    axes: settings(get('font-variation-settings')) ?? parent.axes,
    italic: style === '' || style === 'inherit' ? parent.italic : style !== 'normal',
    lineHeight:
      factor !== null
        ? { factor }
        : lineLength !== null
          ? { px: resolveLength(lineLength, fontSize) }
          : word(get('line-height')) === 'normal'
            ? null
            : parent.lineHeight,
    letterSpacing:
      word(get('letter-spacing')) === 'normal'
        ? 0
        : resolveLength(parseLength(get('letter-spacing')?.[0], units) ?? parent.letterSpacing, fontSize),
    whiteSpace: whiteSpace === 'inherit' ? parent.whiteSpace : whiteSpace,
    wraps:
      wrapMode === 'nowrap'
        ? false
        : wrapMode !== ''
          ? true
          : whiteSpace === parent.whiteSpace
            ? parent.wraps
            : !['nowrap', 'pre'].includes(whiteSpace),
    overflowWrap: own('overflow-wrap', parent.overflowWrap),
    wordBreak: own('word-break', parent.wordBreak),
    textAlign: ALIGNED[own('text-align', '')] ?? parent.textAlign,
    balances: wrapMode === '' || wrapMode === 'inherit' ? parent.balances : wrapMode === 'balance',
  };
}

/** What runs from left to right begins at the left. */
const ALIGNED: Readonly<Record<string, InheritedStyle['textAlign']>> = {
  start: 'start',
  left: 'start',
  justify: 'start',
  center: 'center',
  end: 'end',
  right: 'end',
};

/** The named sizes at a medium of 16 px (CSS Fonts 4, section 2.5). */
const FONT_SIZES: Readonly<Record<string, number>> = {
  'xx-small': 9,
  'x-small': 10,
  small: 13,
  medium: 16,
  large: 18,
  'x-large': 24,
  'xx-large': 32,
  'xxx-large': 48,
};
