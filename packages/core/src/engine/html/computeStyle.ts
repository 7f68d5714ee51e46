import { parseAreas, parseLine, parseTemplate, parseTrack } from '../css/parseTracks.js';
import { parseLength, parseNumber, type Units } from '../css/parseLength.js';
import { resolveLength, type Length } from '../css/length.js';
import {
  INITIAL_STYLE,
  type Aligned,
  type BoxStyle,
  type ContentAlignment,
  type SelfAlignment,
  type Sides,
  type Size,
  type TrackSizing,
} from '../box/style.js';
import type { Cascaded } from './cascade.js';
import { computeInherited, word, type InheritedStyle } from './inheritedStyle.js';
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
  { values }: Cascaded,
  parent: InheritedStyle,
  parentBox: BoxStyle | null,
  baseUnits: Omit<Units, 'em'>,
): ComputedStyle {
  const get = (property: string): Nodes | undefined => {
    const value = values.get(property);
    const name = word(value);
    return name === 'initial' || name === 'unset' || name === 'revert' || name === 'revert-layer'
      ? undefined
      : value;
  };
  const inherits = (property: string) => word(values.get(property)) === 'inherit';

  const inherited = computeInherited(get, parent, baseUnits);
  const units: Units = { ...baseUnits, em: inherited.fontSize };
  const rtl = inherited.direction === 'rtl';

  const length = (property: string): Length | null => parseLength(get(property)?.[0], units);
  function size<K>(property: string, initial: K): Size | K {
    if (inherits(property) && parentBox) return parentSize(property, parentBox) as Size | K;
    const name = word(get(property));
    if (
      name === 'min-content' ||
      name === 'max-content' ||
      name === 'fit-content' ||
      name === 'auto' ||
      name === 'stretch'
    )
      return name;
    if (name === '-webkit-fill-available') return 'stretch';
    return length(property) ?? initial;
  }
  // The later of a physical property and its logical twin counts; `values` keeps the order of the cascade.
  const order = [...values.keys()];
  const sided = (physical: string, logical: string) =>
    order.lastIndexOf(logical) > order.lastIndexOf(physical) ? logical : physical;
  function sides<T>(read: (property: string) => T, name: (side: string) => string): Sides<T> {
    return [
      read(name('top')),
      read(sided(name('right'), name(rtl ? 'inline-start' : 'inline-end'))),
      read(name('bottom')),
      read(sided(name('left'), name(rtl ? 'inline-end' : 'inline-start'))),
    ];
  }
  const lengthOrAuto =
    (initial: Length | 'auto') =>
    (property: string): Length | 'auto' =>
      word(get(property)) === 'auto' ? 'auto' : (length(property) ?? initial);
  const positive = (property: string): Length => {
    const value = length(property) ?? 0;
    return typeof value === 'number' ? Math.max(0, value) : value;
  };
  const borderWidth = (property: string): number => {
    const style = word(get(property.replace('-width', '-style')));
    if (style === '' || style === 'none' || style === 'hidden') return 0;
    const named = { thin: 1, medium: 3, thick: 5 }[word(get(property))];
    const width = named ?? resolveLength(length(property) ?? 3, NaN);
    // Browsers draw borders in whole px, never less than one.
    return width > 0 ? Math.max(1, Math.floor(width)) : 0;
  };
  const gap = (property: string): Length | 'normal' => length(property) ?? 'normal';
  const tracks = (property: string): readonly TrackSizing[] => {
    const list = get(property)?.map((node) => parseTrack(node, units)) ?? [];
    return list.length > 0 && list.every((track) => track !== null) ? list : INITIAL_STYLE.autoRows;
  };
  const areaRows =
    get('grid-template-areas')?.flatMap((node) => (node.type === 'String' ? [node.value] : [])) ?? [];
  const { display, outer } = computeDisplay(word(get('display')));
  const flow = get('grid-auto-flow') ?? [];
  const position = word(get('position'));
  const scrolls = ['overflow-x', 'overflow-y'].some((property) =>
    ['hidden', 'scroll', 'auto'].includes(word(get(property))),
  );
  const containerType = word(get('container-type'));
  const number = (property: string, initial: number) => parseNumber(get(property)?.[0], units) ?? initial;
  const flowTolerance = word(get('flow-tolerance'));

  const box: BoxStyle = {
    display,
    position:
      position === 'absolute' || position === 'fixed'
        ? 'absolute'
        : position === 'relative' || position === 'sticky'
          ? 'relative'
          : 'static',
    direction: inherited.direction,
    boxSizing:
      (inherits('box-sizing') ? parentBox?.boxSizing : word(get('box-sizing'))) === 'border-box'
        ? 'border-box'
        : 'content-box',
    inlineSize: size('width', 'auto'),
    blockSize: size('height', 'auto'),
    minInlineSize: size('min-width', 'auto'),
    minBlockSize: size('min-height', 'auto'),
    maxInlineSize: size('max-width', 'none'),
    maxBlockSize: size('max-height', 'none'),
    aspectRatio: parseAspectRatio(get('aspect-ratio'), units),
    margin: sides(lengthOrAuto(0), (side) => `margin-${side}`),
    padding: sides(positive, (side) => `padding-${side}`),
    border: sides(borderWidth, (side) => `border-${side}-width`),
    inset: sides(lengthOrAuto('auto'), (side) => (side.startsWith('inline') ? `inset-${side}` : side)),
    scrolls,
    containsInlineSize: containerType === 'inline-size' || containerType === 'size',
    order: Math.round(number('order', 0)),
    columns: parseTemplate(get('grid-template-columns') ?? [], units) ?? INITIAL_STYLE.columns,
    rows: parseTemplate(get('grid-template-rows') ?? [], units) ?? INITIAL_STYLE.rows,
    areas: areaRows.length > 0 ? parseAreas(areaRows) : null,
    autoColumns: tracks('grid-auto-columns'),
    autoRows: tracks('grid-auto-rows'),
    flowAxis: flow.some((node) => word([node]) === 'column') ? 'column' : 'row',
    dense: flow.some((node) => word([node]) === 'dense'),
    columnGap: gap('column-gap'),
    rowGap: gap('row-gap'),
    justifyContent: contentAlignment(get('justify-content'), rtl),
    alignContent: contentAlignment(get('align-content'), false),
    justifyItems: selfAlignment(get('justify-items'), rtl) ?? INITIAL_STYLE.justifyItems,
    alignItems: selfAlignment(get('align-items'), false) ?? INITIAL_STYLE.alignItems,
    justifySelf: selfAlignment(get('justify-self'), rtl),
    alignSelf: selfAlignment(get('align-self'), false),
    flowTolerance: flowTolerance === 'infinite' ? Infinity : (length('flow-tolerance') ?? inherited.fontSize),
    lanesGoOnAfter: INITIAL_STYLE.lanesGoOnAfter,
    columnStart: parseLine(get('grid-column-start') ?? []) ?? INITIAL_STYLE.columnStart,
    columnEnd: parseLine(get('grid-column-end') ?? []) ?? INITIAL_STYLE.columnEnd,
    rowStart: parseLine(get('grid-row-start') ?? []) ?? INITIAL_STYLE.rowStart,
    rowEnd: parseLine(get('grid-row-end') ?? []) ?? INITIAL_STYLE.rowEnd,
    flexDirection: word(get('flex-direction')).startsWith('column') ? 'column' : 'row',
    flexWrap: word(get('flex-wrap')).startsWith('wrap'),
    flexGrow: Math.max(0, number('flex-grow', 0)),
    flexShrink: Math.max(0, number('flex-shrink', 1)),
    flexBasis: word(get('flex-basis')) === 'content' ? 'content' : size('flex-basis', 'auto'),
  };
  const names =
    get('container-name')?.flatMap((node) =>
      node.type === 'Identifier' && node.name !== 'none' ? [node.name] : [],
    ) ?? [];
  return { outer, box, inherited, container: box.containsInlineSize ? { names } : null, units };
}

function parentSize(property: string, parent: BoxStyle): Size | 'none' {
  switch (property) {
    case 'width':
      return parent.inlineSize;
    case 'height':
      return parent.blockSize;
    case 'min-width':
      return parent.minInlineSize;
    case 'min-height':
      return parent.minBlockSize;
    case 'max-width':
      return parent.maxInlineSize;
    default:
      return parent.maxBlockSize;
  }
}

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

function contentAlignment(nodes: Nodes | undefined, rtl: boolean): Aligned<ContentAlignment> {
  const { name, safe } = aligned(nodes, rtl);
  return CONTENT.has(name) ? { at: name as ContentAlignment, safe } : INITIAL_STYLE.justifyContent;
}

function selfAlignment(nodes: Nodes | undefined, rtl: boolean): Aligned<SelfAlignment> | null {
  const { name, safe } = aligned(nodes, rtl);
  return SELF.has(name) ? { at: name as SelfAlignment, safe } : null;
}

function aligned(nodes: Nodes | undefined, rtl: boolean): { name: string; safe: boolean } {
  const words = nodes?.map((node) => word([node])) ?? [];
  const name = words.find((each) => each !== 'safe' && each !== 'unsafe' && each !== 'legacy') ?? '';
  return { name: sideName(name, rtl), safe: words.includes('safe') };
}
