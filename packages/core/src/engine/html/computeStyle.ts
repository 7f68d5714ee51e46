import { parseAreas, parseLine, parseTemplate } from '../css/parseTracks.js';
import { parseNumber, type Units } from '../css/parseLength.js';
import { INITIAL_STYLE, type BoxStyle } from '../box/style.js';
import { contentAlignment, selfAlignment } from './alignment.js';
import { computeInherited, word, type InheritedStyle } from './inheritedStyle.js';
import { valueGetter, valueReader, type ValueReader } from './valueReader.js';
import type { Cascaded } from './cascade.js';
import type { Nodes } from './shorthands.js';

/** An element's own display, before a grid or flex box around it makes a block of it. */
export type OuterDisplay = 'block' | 'inline' | 'contents' | 'none';

export interface ComputedStyle {
  readonly outer: OuterDisplay;
  readonly box: BoxStyle;
  readonly inherited: InheritedStyle;
  readonly container: { readonly names: readonly string[] } | null;
  /** Units of its own lengths. */
  readonly units: Units;
}

/** Reads the cascaded values of an element (CSS Cascade 5, section 4.4). */
export function computeStyle(
  cascaded: Cascaded,
  parent: InheritedStyle,
  parentBox: BoxStyle | null,
  baseUnits: Omit<Units, 'em'>,
): ComputedStyle {
  const inherited = computeInherited(valueGetter(cascaded), parent, baseUnits);
  const units: Units = { ...baseUnits, em: inherited.fontSize };
  const rtl = inherited.direction === 'rtl';
  const values = valueReader(cascaded, units, parentBox, rtl);
  const { display, outer } = computeDisplay(values.word('display'));
  const containerType = values.word('container-type');
  const box: BoxStyle = {
    display,
    direction: inherited.direction,
    containsInlineSize: containerType === 'inline-size' || containerType === 'size',
    ...sizesOf(values, parentBox, units),
    ...edgesOf(values),
    ...tracksOf(values, units),
    ...placementOf(values),
    ...alignmentOf(values, rtl),
    ...flexOf(values),
    flowTolerance:
      values.word('flow-tolerance') === 'infinite'
        ? Infinity
        : (values.length('flow-tolerance') ?? inherited.fontSize),
    lanesGoOnAfter: INITIAL_STYLE.lanesGoOnAfter,
  };
  const names =
    values
      .get('container-name')
      ?.flatMap((node) => (node.type === 'Identifier' && node.name !== 'none' ? [node.name] : [])) ?? [];
  return { outer, box, inherited, container: box.containsInlineSize ? { names } : null, units };
}

const sizesOf = ({ get, word: wordOf, inherits, size }: ValueReader, parent: BoxStyle | null, units: Units) =>
  ({
    boxSizing:
      (inherits('box-sizing') ? parent?.boxSizing : wordOf('box-sizing')) === 'border-box'
        ? 'border-box'
        : 'content-box',
    inlineSize: size('width', 'auto'),
    blockSize: size('height', 'auto'),
    minInlineSize: size('min-width', 'auto'),
    minBlockSize: size('min-height', 'auto'),
    maxInlineSize: size('max-width', 'none'),
    maxBlockSize: size('max-height', 'none'),
    aspectRatio: parseAspectRatio(get('aspect-ratio'), units),
  }) satisfies Partial<BoxStyle>;

const POSITIONS: Readonly<Record<string, BoxStyle['position']>> = {
  absolute: 'absolute',
  fixed: 'absolute',
  relative: 'relative',
  sticky: 'relative',
};
const SCROLLS: ReadonlySet<string> = new Set(['hidden', 'scroll', 'auto']);

const edgesOf = ({ word: wordOf, sides, lengthOrAuto, positive, borderWidth }: ValueReader) =>
  ({
    position: POSITIONS[wordOf('position')] ?? 'static',
    margin: sides(lengthOrAuto(0), (side) => `margin-${side}`),
    padding: sides(positive, (side) => `padding-${side}`),
    border: sides(borderWidth, (side) => `border-${side}-width`),
    inset: sides(lengthOrAuto('auto'), (side) => (side.startsWith('inline') ? `inset-${side}` : side)),
    scrolls: ['overflow-x', 'overflow-y'].some((property) => SCROLLS.has(wordOf(property))),
  }) satisfies Partial<BoxStyle>;

function tracksOf({ get, tracks, gap }: ValueReader, units: Units) {
  const areas =
    get('grid-template-areas')?.flatMap((node) => (node.type === 'String' ? [node.value] : [])) ?? [];
  const flow = (get('grid-auto-flow') ?? []).map((node) => word([node]));
  return {
    columns: parseTemplate(get('grid-template-columns') ?? [], units) ?? INITIAL_STYLE.columns,
    rows: parseTemplate(get('grid-template-rows') ?? [], units) ?? INITIAL_STYLE.rows,
    areas: areas.length > 0 ? parseAreas(areas) : null,
    autoColumns: tracks('grid-auto-columns'),
    autoRows: tracks('grid-auto-rows'),
    flowAxis: flow.includes('column') ? 'column' : 'row',
    dense: flow.includes('dense'),
    columnGap: gap('column-gap'),
    rowGap: gap('row-gap'),
  } satisfies Partial<BoxStyle>;
}

const placementOf = ({ get, number }: ValueReader) =>
  ({
    order: Math.round(number('order', 0)),
    columnStart: parseLine(get('grid-column-start') ?? []) ?? INITIAL_STYLE.columnStart,
    columnEnd: parseLine(get('grid-column-end') ?? []) ?? INITIAL_STYLE.columnEnd,
    rowStart: parseLine(get('grid-row-start') ?? []) ?? INITIAL_STYLE.rowStart,
    rowEnd: parseLine(get('grid-row-end') ?? []) ?? INITIAL_STYLE.rowEnd,
  }) satisfies Partial<BoxStyle>;

const alignmentOf = ({ get }: ValueReader, rtl: boolean) =>
  ({
    justifyContent: contentAlignment(get('justify-content'), rtl),
    alignContent: contentAlignment(get('align-content'), false),
    justifyItems: selfAlignment(get('justify-items'), rtl) ?? INITIAL_STYLE.justifyItems,
    alignItems: selfAlignment(get('align-items'), false) ?? INITIAL_STYLE.alignItems,
    justifySelf: selfAlignment(get('justify-self'), rtl),
    alignSelf: selfAlignment(get('align-self'), false),
  }) satisfies Partial<BoxStyle>;

const flexOf = ({ word: wordOf, number, size }: ValueReader) =>
  ({
    flexDirection: wordOf('flex-direction').startsWith('column') ? 'column' : 'row',
    flexWrap: wordOf('flex-wrap').startsWith('wrap'),
    flexGrow: Math.max(0, number('flex-grow', 0)),
    flexShrink: Math.max(0, number('flex-shrink', 1)),
    flexBasis: wordOf('flex-basis') === 'content' ? 'content' : size('flex-basis', 'auto'),
  }) satisfies Partial<BoxStyle>;

function computeDisplay(name: string): { display: BoxStyle['display']; outer: OuterDisplay } {
  switch (name) {
    case '':
    case 'inline':
      return { display: 'block', outer: 'inline' };
    case 'none':
      return { display: 'none', outer: 'none' };
    case 'contents':
      return { display: 'block', outer: 'contents' };
    case 'grid':
    case 'inline-grid':
      return { display: 'grid', outer: 'block' };
    case 'grid-lanes':
    case 'inline-grid-lanes':
      return { display: 'lanes', outer: 'block' };
    case 'flex':
    case 'inline-flex':
      return { display: 'flex', outer: 'block' };
    default:
      return { display: 'block', outer: 'block' };
  }
}

function parseAspectRatio(nodes: Nodes | undefined, units: Units): number | null {
  const numbers: number[] = [];
  for (const node of nodes ?? []) {
    if (node.type === 'Ratio') {
      const { left, right } = node as unknown as { left: Nodes[number]; right: Nodes[number] | null };
      numbers.push(parseNumber(left, units) ?? NaN, right ? (parseNumber(right, units) ?? NaN) : 1);
    } else {
      const value = parseNumber(node, units);
      if (value !== null) numbers.push(value);
    }
  }
  const [inline, block = 1] = numbers;
  if (inline === undefined) return null;
  const ratio = inline / block;
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}
