import type { CssNode } from 'css-tree';

export type Nodes = readonly CssNode[];
/** Longhand properties with their values. */
export type Longhands = readonly (readonly [property: string, value: Nodes])[];

const ident = (name: string): CssNode => ({ type: 'Identifier', name });
const AUTO: Nodes = [ident('auto')];
const NONE: Nodes = [ident('none')];
const NORMAL: Nodes = [ident('normal')];
const number = (value: number): CssNode => ({ type: 'Number', value: String(value) });

const nameOf = (node: CssNode | undefined) => (node?.type === 'Identifier' ? node.name.toLowerCase() : '');

/** Logical and older names, each for the one name used here. */
const ALIASES: Readonly<Record<string, string>> = {
  'inline-size': 'width',
  'block-size': 'height',
  'min-inline-size': 'min-width',
  'min-block-size': 'min-height',
  'max-inline-size': 'max-width',
  'max-block-size': 'max-height',
  'grid-gap': 'gap',
  'grid-row-gap': 'row-gap',
  'grid-column-gap': 'column-gap',
  'word-wrap': 'overflow-wrap',
  'inset-block-start': 'top',
  'inset-block-end': 'bottom',
  'margin-block-start': 'margin-top',
  'margin-block-end': 'margin-bottom',
  'padding-block-start': 'padding-top',
  'padding-block-end': 'padding-bottom',
  'border-block-start-width': 'border-top-width',
  'border-block-end-width': 'border-bottom-width',
  'item-tolerance': 'flow-tolerance',
  'grid-lanes-tolerance': 'flow-tolerance',
};

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const LINE_STYLES = new Set([
  'none',
  'hidden',
  'solid',
  'dashed',
  'dotted',
  'double',
  'groove',
  'ridge',
  'inset',
  'outset',
]);

const fourSides = (names: (side: string) => string, values: readonly Nodes[]): Longhands | null => {
  if (values.length < 1 || values.length > 4) return null;
  const [top, right = top, bottom = top, left = right] = values;
  return SIDES.map((side, k) => [names(side), [top, right, bottom, left][k] as Nodes]);
};

const each = (nodes: Nodes): Nodes[] => nodes.map((node) => [node]);

const pair =
  (first: string, second: string) =>
  (nodes: Nodes): Longhands | null => {
    const [a, b = a] = each(nodes);
    return nodes.length < 1 || nodes.length > 2
      ? null
      : [
          [first, a as Nodes],
          [second, b as Nodes],
        ];
  };

/** Parts between slashes. */
function slashes(nodes: Nodes): CssNode[][] {
  const parts: CssNode[][] = [[]];
  for (const node of nodes) {
    if (node.type === 'Operator' && node.value.trim() === '/') parts.push([]);
    else (parts[parts.length - 1] as CssNode[]).push(node);
  }
  return parts;
}

const isCustomName = (part: Nodes | undefined) =>
  part?.length === 1 && part[0]?.type === 'Identifier' && !['auto', 'span'].includes(nameOf(part[0]));

const linePair =
  (start: string, end: string) =>
  (nodes: Nodes): Longhands | null => {
    const [first, second] = slashes(nodes);
    if (!first || first.length === 0) return null;
    return [
      [start, first],
      [end, second ?? (isCustomName(first) ? first : AUTO)],
    ];
  };

function gridArea(nodes: Nodes): Longhands | null {
  const [rowStart, columnStart, rowEnd, columnEnd] = slashes(nodes);
  if (!rowStart || rowStart.length === 0) return null;
  const column = columnStart ?? (isCustomName(rowStart) ? rowStart : AUTO);
  return [
    ['grid-row-start', rowStart],
    ['grid-column-start', column],
    ['grid-row-end', rowEnd ?? (isCustomName(rowStart) ? rowStart : AUTO)],
    ['grid-column-end', columnEnd ?? (isCustomName(column) ? column : AUTO)],
  ];
}

/** An alignment pair; a first value of two words (`safe center`) stays together. */
const places =
  (align: string, justify: string) =>
  (nodes: Nodes): Longhands | null => {
    const parts: CssNode[][] = [];
    for (let k = 0; k < nodes.length; k++) {
      const node = nodes[k] as CssNode;
      const next = nodes[k + 1];
      if (['safe', 'unsafe', 'first', 'last'].includes(nameOf(node)) && next) {
        parts.push([node, next]);
        k++;
      } else parts.push([node]);
    }
    const [first, second = first] = parts;
    return first && second && parts.length <= 2
      ? [
          [align, first],
          [justify, second],
        ]
      : null;
  };

function gridTemplate(nodes: Nodes): Longhands | null {
  if (nodes.length === 1 && nameOf(nodes[0]) === 'none') {
    return [
      ['grid-template-rows', NONE],
      ['grid-template-columns', NONE],
      ['grid-template-areas', NONE],
    ];
  }
  const [before = [], after] = slashes(nodes);
  if (!before.some((node) => node.type === 'String')) {
    if (!after) return null;
    return [
      ['grid-template-rows', before],
      ['grid-template-columns', after],
      ['grid-template-areas', NONE],
    ];
  }
  // Rows of areas, each with its size and the names around it.
  const rows: CssNode[] = [];
  const areas: CssNode[] = [];
  before.forEach((node, k) => {
    if (node.type === 'Brackets') rows.push(node);
    else if (node.type === 'String') {
      areas.push(node);
      const next = before[k + 1];
      if (!next || next.type === 'String' || next.type === 'Brackets') rows.push(ident('auto'));
    } else rows.push(node);
  });
  return [
    ['grid-template-rows', rows],
    ['grid-template-columns', after ?? NONE],
    ['grid-template-areas', areas],
  ];
}

function grid(nodes: Nodes): Longhands | null {
  const [before = [], after] = slashes(nodes);
  const isFlow = (part: Nodes) => part.some((node) => nameOf(node) === 'auto-flow');
  const rest = (part: Nodes) => part.filter((node) => !['auto-flow', 'dense'].includes(nameOf(node)));
  const dense = (part: Nodes) => part.some((node) => nameOf(node) === 'dense');
  const initial: Longhands = [
    ['grid-auto-rows', AUTO],
    ['grid-auto-columns', AUTO],
    ['grid-auto-flow', [ident('row')]],
    ['grid-template-areas', NONE],
  ];
  if (after && isFlow(before)) {
    const auto = rest(before);
    return [
      ...initial,
      ['grid-auto-flow', [ident('row'), ...(dense(before) ? [ident('dense')] : [])]],
      ['grid-auto-rows', auto.length > 0 ? auto : AUTO],
      ['grid-template-rows', NONE],
      ['grid-template-columns', after],
    ];
  }
  if (after && isFlow(after)) {
    const auto = rest(after);
    return [
      ...initial,
      ['grid-auto-flow', [ident('column'), ...(dense(after) ? [ident('dense')] : [])]],
      ['grid-auto-columns', auto.length > 0 ? auto : AUTO],
      ['grid-template-columns', NONE],
      ['grid-template-rows', before],
    ];
  }
  const template = gridTemplate(nodes);
  return template && [...initial, ...template];
}

function flex(nodes: Nodes): Longhands | null {
  if (nodes.length === 1 && nameOf(nodes[0]) === 'none') {
    return [
      ['flex-grow', [number(0)]],
      ['flex-shrink', [number(0)]],
      ['flex-basis', AUTO],
    ];
  }
  if (nodes.length === 1 && nameOf(nodes[0]) === 'auto') {
    return [
      ['flex-grow', [number(1)]],
      ['flex-shrink', [number(1)]],
      ['flex-basis', AUTO],
    ];
  }
  const numbers = nodes.filter((node) => node.type === 'Number');
  const basis = nodes.filter((node) => node.type !== 'Number');
  return [
    ['flex-grow', [numbers[0] ?? number(1)]],
    ['flex-shrink', [numbers[1] ?? number(1)]],
    ['flex-basis', basis[0] ? [basis[0]] : [{ type: 'Dimension', value: '0', unit: 'px' }]],
  ];
}

function border(sides: readonly string[]) {
  return (nodes: Nodes): Longhands => {
    const style = nodes.find((node) => LINE_STYLES.has(nameOf(node)));
    const width = nodes.find(
      (node) =>
        node.type === 'Dimension' ||
        node.type === 'Number' ||
        ['thin', 'medium', 'thick'].includes(nameOf(node)) ||
        (node.type === 'Function' && node.name === 'calc'),
    );
    const colour = nodes.find((node) => node !== style && node !== width);
    return sides.flatMap((side) => [
      [`border-${side}-color`, [colour ?? ident('currentcolor')]] as const,
      [`border-${side}-width`, [width ?? ident('medium')]] as const,
      [`border-${side}-style`, style ? [style] : NONE] as const,
    ]);
  };
}

function font(nodes: Nodes): Longhands | null {
  const [before = [], after] = slashes(nodes);
  if (after) {
    return [
      ...fontStart(before.slice(0, -1)),
      ['font-size', before.slice(-1)],
      ['line-height', after.slice(0, 1)],
      ['font-family', after.slice(1)],
    ];
  }
  const at = nodes.findIndex(
    (node) => node.type === 'Dimension' || node.type === 'Percentage' || node.type === 'Function',
  );
  if (at < 0) return null;
  return [
    ...fontStart(nodes.slice(0, at)),
    ['font-size', nodes.slice(at, at + 1)],
    ['line-height', NORMAL],
    ['font-family', nodes.slice(at + 1)],
  ];
}

function fontStart(nodes: Nodes): Longhands {
  const weight = nodes.find(
    (node) => node.type === 'Number' || ['bold', 'bolder', 'lighter'].includes(nameOf(node)),
  );
  const style = nodes.find((node) => ['italic', 'oblique'].includes(nameOf(node)));
  return [
    ['font-weight', weight ? [weight] : NORMAL],
    ['font-style', style ? [style] : NORMAL],
  ];
}

const SHORTHANDS: Readonly<Record<string, (nodes: Nodes) => Longhands | null>> = {
  margin: (nodes) => fourSides((side) => `margin-${side}`, each(nodes)),
  padding: (nodes) => fourSides((side) => `padding-${side}`, each(nodes)),
  inset: (nodes) => fourSides((side) => side, each(nodes)),
  'border-width': (nodes) => fourSides((side) => `border-${side}-width`, each(nodes)),
  'border-color': (nodes) => fourSides((side) => `border-${side}-color`, each(nodes)),
  'border-style': (nodes) => fourSides((side) => `border-${side}-style`, each(nodes)),
  'margin-inline': pair('margin-inline-start', 'margin-inline-end'),
  'margin-block': pair('margin-top', 'margin-bottom'),
  'padding-inline': pair('padding-inline-start', 'padding-inline-end'),
  'padding-block': pair('padding-top', 'padding-bottom'),
  'inset-inline': pair('inset-inline-start', 'inset-inline-end'),
  'inset-block': pair('top', 'bottom'),
  border: border(SIDES),
  'border-top': border(['top']),
  'border-right': border(['right']),
  'border-bottom': border(['bottom']),
  'border-left': border(['left']),
  'border-block': border(['top', 'bottom']),
  'border-inline': border(['left', 'right']),
  gap: pair('row-gap', 'column-gap'),
  overflow: pair('overflow-x', 'overflow-y'),
  'grid-row': linePair('grid-row-start', 'grid-row-end'),
  'grid-column': linePair('grid-column-start', 'grid-column-end'),
  'grid-area': gridArea,
  'grid-template': gridTemplate,
  grid,
  'place-items': places('align-items', 'justify-items'),
  'place-content': places('align-content', 'justify-content'),
  'place-self': places('align-self', 'justify-self'),
  flex,
  'flex-flow': (nodes) => {
    const wrap = nodes.filter((node) => nameOf(node).includes('wrap'));
    const direction = nodes.filter((node) => !nameOf(node).includes('wrap'));
    return [
      ['flex-wrap', wrap.length > 0 ? wrap : [ident('nowrap')]],
      ['flex-direction', direction.length > 0 ? direction : [ident('row')]],
    ];
  },
  font,
  container: (nodes) => {
    const [name = [], type] = slashes(nodes);
    return [
      ['container-name', name],
      ['container-type', type ?? NORMAL],
    ];
  },
};

const WIDE = new Set(['initial', 'inherit', 'unset', 'revert', 'revert-layer']);

/** Which longhands a shorthand sets, whatever its value. */
const resets = (property: string): string[] =>
  (
    SHORTHANDS[property]?.([ident('none'), ident('none')]) ??
    SHORTHANDS[property]?.([ident('none')]) ??
    []
  ).map(([name]) => name);

/** A declaration as longhands under their one name each; null when a shorthand's value makes no sense. */
export function expandDeclaration(property: string, value: Nodes): Longhands | null {
  const name = ALIASES[property] ?? property;
  const shorthand = SHORTHANDS[name];
  if (!shorthand) return [[name, value]];
  if (value.length === 1 && WIDE.has(nameOf(value[0]))) return resets(name).map((each) => [each, value]);
  return shorthand(value);
}
