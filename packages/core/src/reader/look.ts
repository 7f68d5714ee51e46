import { hasPercent, resolveLength } from '../engine/css/length.js';
import { LIMITS } from '../document/limits.js';
import { isWord, paintOf, readColour, readGradient, sharesOf } from './paint.js';
import { DEFAULT_UNITS, parseLength, splitArguments, type Units } from '../engine/css/parseLength.js';
import type { BoxStyle } from '../engine/box/style.js';
import type { Cascaded } from '../engine/html/cascade.js';
import type { CssNode } from 'css-tree';
import type { InheritedStyle } from '../engine/html/inheritedStyle.js';
import type { PictureId } from '../document/ids.js';
import type {
  Fill,
  FocalPoint,
  FourCorners,
  FourSides,
  Gradient,
  Measure,
  Shadow,
  TileLook,
} from '../document/look.js';
import type { Say } from './arrangement.js';

/** The width of page that shares are taken of, px. */
const PAGE = 1280;

/** What an element looks like of what tiles can look like. */
type ReadLook = Pick<TileLook, 'fill' | 'radius' | 'padding' | 'spread'> & Partial<TileLook>;

/**
 * What an element looks like, as a tile has it.
 * @param say what of it a tile can't have
 */
export function readLook(
  { values }: Cascaded,
  style: BoxStyle,
  units: Units,
  words: InheritedStyle,
  picture: (address: string) => PictureId | null,
  say: Say,
): ReadLook {
  const textColour = readColour(values.get('color')?.[0]);
  const shadows = shadowsOf(values.get('box-shadow') ?? [], units, say);
  const [outer, inner] = [
    shadows.filter(({ isInner }) => !isInner),
    shadows.filter(({ isInner }) => isInner),
  ];
  return {
    fill: fillOf(values, units, picture, say),
    ...(textColour && { textColour: textColour.colour }),
    ...borderOf(values, style, say),
    ...standingOf(style, words),
    radius: radiusOf(values.get('border-radius') ?? [], units, say),
    padding: paddingOf(style, say),
    ...(outer.length > 0 && { outerShadow: outer.map(({ shadow }) => shadow) }),
    ...(inner.length > 0 && { innerShadow: inner.map(({ shadow }) => shadow) }),
  };
}

const SIDE_NAMES = ['top', 'right', 'bottom', 'left'] as const;

/** A border, in one colour or a gradient. */
function borderOf(values: Cascaded['values'], { border }: BoxStyle, say: Say): Pick<TileLook, 'border'> {
  const [blockStart = 0, inlineEnd = 0, blockEnd = 0, inlineStart = 0] = border.map((each) =>
    within(resolveLength(each, PAGE), LIMITS.border),
  );
  const widths = [blockStart, inlineEnd, blockEnd, inlineStart];
  const at = widths.findIndex((width) => width > 0);
  if (at < 0) return {};
  const colourOf = (side: string) => readColour(values.get(`border-${side}-color`)?.[0]);
  const colours = SIDE_NAMES.flatMap((side, k) => ((widths[k] ?? 0) > 0 ? [colourOf(side)] : []));
  const [first] = colours;
  const line = values.get(`border-${SIDE_NAMES[at]}-style`)?.[0];
  if (line?.type === 'Identifier' && line.name !== 'solid') say('border', `is ${line.name}; it is solid now`);
  if (colours.some((each) => JSON.stringify(each) !== JSON.stringify(first)))
    say('border', 'has several colours; all sides have the first one now');
  const isEven = widths.every((width) => width === blockStart);
  const width = isEven ? blockStart : { blockStart, inlineEnd, blockEnd, inlineStart };
  const ring = first?.opacity === 0 ? ringIn(values) : null;
  if (ring) return { border: { width, paint: ring } };
  const text = readColour(values.get('color')?.[0]);
  const colour = first ?? text ?? { colour: '#000000', opacity: 1 };
  return colour.opacity === 0 ? {} : { border: { width, paint: paintOf(colour) } };
}

/** A gradient that is painted under a clear border alone. */
function ringIn(values: Cascaded['values']): Gradient | null {
  const layers = splitArguments(values.get('background') ?? []);
  const layer = layers.find((each) => each.some((node) => isWord(node, ['border-box'])));
  return layer?.map((node) => readGradient(node, DEFAULT_UNITS)).find((each) => each !== null) ?? null;
}

const SPREADS: Readonly<Record<string, TileLook['spread']>> = {
  center: 'center',
  end: 'end',
  'flex-end': 'end',
  'space-between': 'between',
  'space-around': 'between',
  'space-evenly': 'between',
};
const ALIGNMENTS: Readonly<Record<string, NonNullable<TileLook['align']>>> = {
  start: 'start',
  'flex-start': 'start',
  center: 'center',
  end: 'end',
  'flex-end': 'end',
};

/** Between the parts of a tile, em. */
const GAP = 0.3;

/** Whether parts are as far apart, in px, as those of a tile are anyway. */
export const isUsualGap = (gap: number, { fontSize }: Pick<InheritedStyle, 'fontSize'>): boolean =>
  Math.abs(gap - GAP * fontSize) <= 0.05;

/** How contents stand: as those of a flex box, those of a grid, or one after the other from the top. */
function standingOf(
  style: BoxStyle,
  words: InheritedStyle,
): Pick<TileLook, 'spread' | 'align' | 'direction' | 'gap'> {
  const isFlex = style.display === 'flex';
  const isRow = isFlex && style.flexDirection === 'row';
  const along = isFlex ? style.justifyContent.at : style.display === 'grid' ? style.alignContent.at : 'start';
  const across = isFlex ? style.alignItems.at : style.display === 'grid' ? style.justifyItems.at : 'normal';
  const align = ALIGNMENTS[across] ?? (words.textAlign === 'start' ? undefined : words.textAlign);
  const asked = isRow ? style.columnGap : style.rowGap;
  const gap = (isFlex || style.display === 'grid') && typeof asked === 'number' ? asked : null;
  return {
    spread: SPREADS[along] ?? 'start',
    ...(align !== undefined && { align }),
    ...(isRow && { direction: 'row' as const }),
    ...(gap !== null && !isUsualGap(gap, words) && { gap: within(gap, LIMITS.gap) }),
  };
}

/** A picture, gradient or colour behind an element; the uppermost where there are several. */
function fillOf(
  values: Cascaded['values'],
  units: Units,
  picture: (address: string) => PictureId | null,
  say: Say,
): Fill {
  const property = ['background-image', 'background', 'background-color'].find((each) => values.has(each));
  if (property === undefined) return 'none';
  const layers = splitArguments(values.get(property) ?? []).filter(
    // What is painted under a border alone is that of the border.
    (layer, k, all) => k === 0 || k < all.length - 1 || !layer.some((node) => isWord(node, ['border-box'])),
  );
  let over: Gradient | null = null;
  for (const layer of layers) {
    const gradient = layer.map((node) => readGradient(node, units)).find((each) => each !== null) ?? null;
    const address = layer.map(addressIn).find((each) => each !== null) ?? null;
    if (address !== null) {
      const id = picture(address);
      if (id !== null) return pictureFill(id, over, layer, values, units);
      say(property, 'has an image that is left out: choose it for the tile', 'left out');
    } else if (gradient) {
      // Over a picture it is its tint; alone it is what the tile is filled with.
      if (!layers.some((each) => each.some((node) => addressIn(node) !== null))) return gradient;
      over ??= gradient;
    } else if (layer.some((node) => node.type === 'Function' && node.name.endsWith('gradient')))
      say(property, 'has an image that is left out: choose it for the tile', 'left out');
  }
  if (over) return over;
  for (const node of [...layers.flat(), ...(values.get('background-color') ?? [])]) {
    const colour = readColour(node);
    if (colour) return colour.opacity === 0 ? 'none' : paintOf(colour);
  }
  return 'none';
}

/** Where an image is found: `url(…)`, or the sharpest of an `image-set(…)`. */
function addressIn(node: CssNode): string | null {
  if (node.type === 'Url') return node.value;
  if (node.type !== 'Function' || !node.name.endsWith('image-set')) return null;
  const found = node.children.toArray().flatMap((each) => addressIn(each) ?? []);
  return found.at(-1) ?? null;
}

const NO_TINT = { colour: '#000000', opacity: 0 };

function pictureFill(
  picture: PictureId,
  tint: Gradient | null,
  layer: readonly CssNode[],
  values: Cascaded['values'],
  units: Units,
): Fill {
  const slash = layer.findIndex((node) => node.type === 'Operator' && node.value === '/');
  const place = values.get('background-position') ?? layer.slice(0, slash < 0 ? undefined : slash);
  const size = values.get('background-size') ?? (slash < 0 ? [] : layer.slice(slash + 1));
  return {
    kind: 'picture',
    picture,
    focalPoint: readPlace(place, units) ?? MIDDLE,
    tint: tint ?? NO_TINT,
    ...(size.some((node) => isWord(node, ['contain'])) && { fit: 'contain' as const }),
  };
}

const MIDDLE: FocalPoint = { x: 0.5, y: 0.5 };

/** How a picture is cropped to its place. */
export interface Crop {
  readonly focalPoint: FocalPoint;
  readonly fit?: 'contain';
}

/** How a picture element is cropped: by `object-position` and `object-fit`. */
export function cropOf({ values }: Cascaded): Crop {
  const fit = values.get('object-fit')?.[0];
  return {
    focalPoint: readPlace(values.get('object-position') ?? [], DEFAULT_UNITS) ?? MIDDLE,
    ...(fit && isWord(fit, ['contain', 'scale-down']) && { fit: 'contain' as const }),
  };
}

/** A place as shares from the top left, 0 to 1; null where it is none, or is said in px. */
function readPlace(nodes: readonly CssNode[], units: Units): FocalPoint | null {
  const place = nodes.filter(
    (node) => node.type === 'Percentage' || node.type === 'Number' || isWord(node, SIDES),
  );
  const read = place.length === 0 ? null : sharesOf(place, units);
  if (!read) return null;
  const held = (share: number) => Math.min(1, Math.max(0, share));
  return { x: held(read.x), y: held(read.y) };
}

const SIDES = ['left', 'right', 'top', 'bottom', 'center'];

const within = (px: number, most: number) => Math.round(Math.min(most, Math.max(0, px)) * 100) / 100;

function radiusOf(nodes: readonly CssNode[], units: Units, say: Say): Measure | FourCorners {
  const round = nodes.findIndex((each) => each.type === 'Operator');
  if (round >= 0) say('border-radius', 'is elliptic; a corner here is round');
  const read = (round < 0 ? nodes : nodes.slice(0, round)).map((node) => {
    const length = parseLength(node, units);
    if (length === null || typeof length === 'number') return within(length ?? 0, LIMITS.radius);
    say('border-radius', 'is a share of the tile; it is as round as a corner can be');
    return LIMITS.radius;
  });
  const [startStart = 0, startEnd = startStart, endEnd = startStart, endStart = startEnd] = read;
  return [startEnd, endEnd, endStart].every((each) => each === startStart)
    ? startStart
    : { startStart, startEnd, endEnd, endStart };
}

function paddingOf({ padding }: BoxStyle, say: Say): Measure | FourSides<Measure> {
  // What a share is of is not known in a tile.
  if (padding.some(hasPercent))
    say('padding', 'is a share of the page; it is the px that it comes to at 1280 px');
  const [blockStart, inlineEnd, blockEnd, inlineStart] = padding.map((each) =>
    within(resolveLength(each, PAGE), LIMITS.padding),
  ) as [number, number, number, number];
  return [inlineEnd, blockEnd, inlineStart].every((each) => each === blockStart)
    ? blockStart
    : { blockStart, inlineEnd, blockEnd, inlineStart };
}

function shadowsOf(nodes: readonly CssNode[], units: Units, say: Say) {
  const read = splitArguments(nodes).flatMap((part) => {
    const lengths = part.flatMap((node) => {
      const length = parseLength(node, units);
      return typeof length === 'number' ? [length] : [];
    });
    if (lengths.length < 2) return [];
    const [x = 0, y = 0, blur = 0, spread = 0] = lengths;
    const drawn = part.map(readColour).find((each) => each !== null);
    if (!drawn) say('box-shadow', 'has no colour of its own; it is black now');
    const { colour, opacity } = drawn ?? { colour: '#000000', opacity: 1 };
    const bounded = (px: number, most: number) => Math.max(-most, Math.min(most, px));
    const shadow: Shadow = {
      x: bounded(x, LIMITS.shadow),
      y: bounded(y, LIMITS.shadow),
      blur: within(blur, LIMITS.shadow),
      spread: bounded(spread, LIMITS.shadow),
      colour,
      opacity,
    };
    return [{ shadow, isInner: part.some((node) => node.type === 'Identifier' && node.name === 'inset') }];
  });
  if (read.length > LIMITS.layers)
    say('box-shadow', `has more than ${LIMITS.layers} shadows; the first are kept`);
  return read.slice(0, LIMITS.layers);
}
