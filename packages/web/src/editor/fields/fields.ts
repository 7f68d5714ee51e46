import {
  LIMITS,
  type Alignment,
  type ArrangementValues,
  type BandLook,
  type FourSides,
  type GridHeight,
  type KindValues,
  type Lie,
  type Motion,
  type Spread,
  type TextWrap,
  type TileLook,
  type WholePlace,
} from '@noria/core';
import { count } from '../../ui/words';
import type { ChoiceField, Field } from './field';

type Own = Exclude<keyof ArrangementValues, keyof KindValues | 'columnIds' | 'rowIds'>;

const px = { unit: 'px', least: 0 } as const;
const rows = (value: unknown) => (Array.isArray(value) && value.length > 0 ? String(value.length) : 'none');
const sides = (value: unknown) => {
  const { blockStart, inlineEnd, blockEnd, inlineStart } = value as FourSides;
  const all = [blockStart, inlineEnd, blockEnd, inlineStart];
  return new Set(all).size === 1 ? String(blockStart) : all.join(' ');
};

/** What every kind of arrangement has; what one alone has is in its folder. */
export const ARRANGEMENT = {
  kind: { label: 'Arrangement' },
  columns: {
    label: 'Columns',
    unit: 'columns',
    least: 1,
    most: LIMITS.columns,
    says: rows,
  },
  rows: { label: 'Rows', unit: 'rows', least: 0, most: LIMITS.rows, says: rows },
  autoRows: { label: 'Row size', help: 'Size of every row that has none of its own' },
  columnGap: { label: 'Column gap', ...px, most: LIMITS.gap },
  rowGap: { label: 'Row gap', ...px, most: LIMITS.gap },
  padding: { label: 'Padding', ...px, most: LIMITS.padding, says: sides },
  flow: {
    label: 'Flow',
    help: 'Dense: later small tiles fill holes. Sparse: tiles stay in reading order',
    choices: [
      { value: 'dense', label: 'Dense' },
      { value: 'sparse', label: 'Sparse' },
    ],
  },
  maxInlineSize: {
    label: 'Maximum width',
    help: 'The padding is part of it',
    unit: 'px',
    least: LIMITS.narrowest,
    most: 10_000,
    says: (value) => (typeof value === 'number' || typeof value === 'string' ? String(value) : 'none'),
  },
  height: {
    label: 'Height',
    choices: [
      { value: 'content', label: 'Content' },
      { value: 'fixed', label: 'Fixed' },
      { value: 'screen', label: 'Screen' },
    ],
    says: (value) => (value as GridHeight).kind,
  } satisfies ChoiceField<GridHeight['kind']>,
  areas: {
    label: 'Areas',
    says: (value) =>
      Array.isArray(value) && value.length > 0 ? count(value.length, 'row').toLowerCase() : 'none',
  },
  cells: {
    label: 'Cells',
    choices: [
      { value: 'tracks', label: 'By rows' },
      { value: 'square', label: 'Square' },
    ],
  },
} as const satisfies Readonly<Record<Own, Field>>;

const cell = (value: unknown) => {
  if (value === null) return 'none';
  const { column, row } = value as { readonly column: number; readonly row: number };
  return `column ${column}, row ${row}`;
};

export const LIES = [
  { value: 'stretch', label: 'Stretch' },
  { value: 'start', label: 'Start' },
  { value: 'center', label: 'Centre' },
  { value: 'end', label: 'End' },
] as const satisfies ChoiceField<Lie>['choices'];

/** Where a tile is, and how it fills its place. */
export const PLACE = {
  columnSpan: { label: 'Column span', least: 1, most: LIMITS.columns },
  rowSpan: { label: 'Row span', least: 1, most: LIMITS.span },
  pin: { label: 'Pin', says: cell },
  area: { label: 'Area' },
  fit: {
    label: 'Fit',
    says: (value) => {
      const { inline, block } = value as { readonly inline?: Lie; readonly block?: Lie };
      const words = [inline, block].flatMap((lie) => LIES.find(({ value }) => value === lie)?.label ?? []);
      return [...new Set(words)].join(', ').toLowerCase() || 'own size';
    },
  },
  layer: { label: 'Layer', unit: 'higher lies over', least: -LIMITS.layer, most: LIMITS.layer },
  order: {
    label: 'Order',
    help: 'Where it is seen; it is read in the order of the belt all the same',
    unit: 'lower is seen first',
    least: -LIMITS.order,
    most: LIMITS.order,
  },
  hidden: {
    label: 'Visibility',
    choices: [
      { value: 'shown', label: 'Shown' },
      { value: 'hidden', label: 'Hidden' },
    ],
    says: (value) => (value === true ? 'hidden' : 'shown'),
  },
  breakBefore: { label: 'Row break', says: (value) => (value === true ? 'begins a row' : 'none') },
  slot: { label: 'Slot', says: cell },
} as const satisfies Readonly<Record<keyof WholePlace, Field>>;

/** What a tile says of its place at every width. */
export const TILE = {
  kind: {
    label: 'Kind',
    help: 'What the card is; another kind keeps its words, hidden where they find no place',
  },
  name: { label: 'Name' },
  link: { label: 'Link' },
  minimumWidth: {
    label: 'Minimum width',
    help: 'The check reports widths at which the tile is narrower',
    least: 1,
    most: LIMITS.track,
  },
  keepWithNext: {
    label: 'Keep with next',
    help: 'Off or on: the next tile in reading order follows beside or below it',
    choices: [
      { value: 'off', label: 'Off' },
      { value: 'on', label: 'On' },
    ],
  },
  weight: { label: 'Weight', unit: 'of 5, for proposals', least: 1, most: 5 },
} as const satisfies Readonly<Record<string, Field>>;

export const MOTION = {
  entrance: {
    label: 'Entrance',
    choices: [
      { value: 'none', label: 'None' },
      { value: 'fade', label: 'Fade' },
      { value: 'rise', label: 'Rise' },
      { value: 'grow', label: 'Grow' },
    ],
  },
  hover: {
    label: 'Hover',
    choices: [
      { value: 'none', label: 'None' },
      { value: 'lift', label: 'Lift' },
      { value: 'zoom', label: 'Zoom' },
    ],
  },
} as const satisfies {
  readonly entrance: ChoiceField<Motion['entrance']>;
  readonly hover: ChoiceField<Motion['hover']>;
};

/** How lines are broken. */
const WRAPS = [
  { value: 'wrap', label: 'Normal' },
  { value: 'balance', label: 'Balance' },
  { value: 'pretty', label: 'Pretty' },
] satisfies ChoiceField<TextWrap>['choices'];

/** How a tile looks; of type, first what is said large and then the rest. */
export const LOOK = {
  fill: { label: 'Fill' },
  over: { label: 'Layers' },
  backdropBlur: {
    label: 'Blur behind',
    help: 'Blurs what lies behind the tile, where the fill lets it through',
    ...px,
    most: LIMITS.blur,
  },
  textColour: { label: 'Text colour' },
  spread: {
    label: 'Spread',
    help: 'Where the contents sit along their direction',
    choices: [
      { value: 'start', label: 'Start' },
      { value: 'center', label: 'Centre' },
      { value: 'end', label: 'End' },
      { value: 'between', label: 'Between' },
    ] satisfies ChoiceField<Spread>['choices'],
  },
  align: {
    label: 'Align',
    help: 'Where the contents sit across their direction',
    choices: LIES satisfies ChoiceField<Alignment>['choices'],
  },
  direction: {
    label: 'Direction',
    help: 'Whether the contents follow each other down the tile or along it',
    choices: [
      { value: 'column', label: 'Column' },
      { value: 'row', label: 'Row' },
    ],
  },
  gap: { label: 'Gap', ...px, most: LIMITS.gap },
  padding: { label: 'Padding', ...px, most: LIMITS.padding, says: sides },
  radius: { label: 'Radius', ...px, most: LIMITS.radius },
  border: { label: 'Border', ...px, most: LIMITS.border },
  outerShadow: { label: 'Outer shadow', unit: 'px', least: -LIMITS.shadow, most: LIMITS.shadow },
  innerShadow: { label: 'Inner shadow', unit: 'px', least: -LIMITS.shadow, most: LIMITS.shadow },
  fade: { label: 'Fade', help: 'Edges that fade out over so many px', ...px, most: LIMITS.padding },
  writingDirection: {
    label: 'Writing',
    help: 'Writing direction: horizontal or vertical',
    choices: [
      { value: 'horizontal', label: 'Horizontal' },
      { value: 'vertical', label: 'Vertical' },
    ],
  },
  headingFamily: { label: 'Heading family' },
  headingSize: { label: 'Heading size', unit: 'px', least: LIMITS.typeSize.min, most: LIMITS.typeSize.max },
  headingWeight: { label: 'Heading weight', unit: 'weight', least: 100, most: 900 },
  headingLineHeight: { label: 'Heading line height', unit: 'line height', least: 0.5, most: 4 },
  headingLetterSpacing: { label: 'Heading letter spacing', unit: 'em', least: -0.5, most: 2 },
  headingFeatures: { label: 'Heading features' },
  headingAxes: { label: 'Heading axes', least: -10_000, most: 10_000 },
  headingWrap: { label: 'Heading line breaks', choices: WRAPS },
  bodyFamily: { label: 'Body family' },
  bodySize: { label: 'Body size', unit: 'px', least: LIMITS.typeSize.min, most: LIMITS.typeSize.max },
  bodyWeight: { label: 'Body weight', unit: 'weight', least: 100, most: 900 },
  bodyLineHeight: { label: 'Body line height', unit: 'line height', least: 0.5, most: 4 },
  bodyLetterSpacing: { label: 'Body letter spacing', unit: 'em', least: -0.5, most: 2 },
  bodyFeatures: { label: 'Body features' },
  bodyAxes: { label: 'Body axes', least: -10_000, most: 10_000 },
  bodyWrap: { label: 'Body line breaks', choices: WRAPS },
} as const satisfies Readonly<Record<keyof TileLook, Field>>;

/** What the collection says of the look of all its tiles. */
export const COLLECTION = {
  background: { label: 'Background' },
  radius: LOOK.radius,
  tilePadding: {
    ...LOOK.padding,
    label: 'Tile padding',
    help: 'Padding of every tile that has none of its own',
  },
  headingFamily: LOOK.headingFamily,
  bodyFamily: LOOK.bodyFamily,
  headingSize: LOOK.headingSize,
  bodySize: LOOK.bodySize,
  enlarges: {
    label: 'Pictures',
    help: 'Whether a press opens pictures large',
    choices: [
      { value: 'some', label: 'As each says' },
      { value: 'all', label: 'Enlarge all' },
    ],
  },
} as const satisfies Readonly<Record<string, Field>>;

/** What a band can set, by the field of the file; spans are set together. */
export const IN_BANDS: Readonly<Record<string, Field>> = {
  ...ARRANGEMENT,
  ...PLACE,
  ...(LOOK satisfies Readonly<Record<keyof BandLook, Field>>),
  // Of an arrangement and not of a look.
  padding: ARRANGEMENT.padding,
  span: {
    label: 'Span',
    says: (value) => {
      const { columnSpan, rowSpan } = value as { readonly columnSpan?: number; readonly rowSpan?: number };
      return `${columnSpan ?? 'as inherited'} × ${rowSpan ?? 'as inherited'}`;
    },
  },
};
