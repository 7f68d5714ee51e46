import { colourCss, faintCss, percentCss } from './css.js';
import { gradientCss } from './gradientCss.js';
import { px } from '../engine/css/units.js';
import {
  behindIn,
  borderSides,
  hasBorder,
  isGradient,
  isPictureFill,
  letsThrough,
  veils,
  type Behind,
} from './paints.js';
import type {
  Border,
  Colour,
  Fill,
  FillLayer,
  FocalPoint,
  NamedLooks,
  PictureFill,
  PlainPaint,
  TileLook,
  Veil,
} from '../document/look.js';
import type { PictureId } from '../document/ids.js';
import type { Declarations } from '../engine/css/rule.js';

/** What lies behind a tile’s contents, as far as its look says. */
export type Ground = Pick<TileLook, 'fill' | 'over' | 'border' | 'backdropBlur'>;

/** What fills are drawn with. */
export interface Drawn {
  readonly namedLooks?: NamedLooks | undefined;
  /** A picture as a CSS image; null where it is not there. */
  readonly image: (picture: PictureId) => string | null;
}

/** A veil as an image; null where it is none. */
export function veilCss(veil: Veil | undefined, looks: NamedLooks | undefined): string | null {
  if (!veils(veil)) return null;
  if (isGradient(veil)) return gradientCss(veil, looks);
  return evenCss(faintCss(veil.colour, veil.opacity));
}

const evenCss = (colour: string) => `linear-gradient(${colour}, ${colour})`;

/** One colour. */
const plainCss = (paint: Colour | PlainPaint): string =>
  typeof paint === 'string' ? colourCss(paint) : faintCss(paint.colour, paint.opacity);

/** An image, and how it is mixed with what is under it. */
interface Layer {
  readonly image: string;
  readonly blend: string;
}

const layer = (image: string, blend = 'normal'): Layer => ({ image, blend });

/** The layers of a picture, uppermost first. */
function pictureLayers(fill: PictureFill, { namedLooks, image }: Drawn): string[] {
  const { tint, fit = 'cover', position = fill.focalPoint } = fill;
  const veil = veilCss(tint, namedLooks);
  const shown = image(fill.picture);
  return [...(veil ? [veil] : []), ...(shown ? [`${shown} ${pointCss(position)} / ${fit} no-repeat`] : [])];
}

/** A point as `object-position` and `background-position` write it. */
export const pointCss = ({ x, y }: FocalPoint) => `${percentCss(x)} ${percentCss(y)}`;

/** The layers over a fill, uppermost first. */
const layersOver = (over: readonly FillLayer[] | undefined, drawn: Drawn): Layer[] =>
  (over ?? []).flatMap(({ fill, blend }) => {
    if (isPictureFill(fill)) return pictureLayers(fill, drawn).map((image) => layer(image, blend));
    if (isGradient(fill)) return [layer(gradientCss(fill, drawn.namedLooks), blend)];
    return fill === 'none' ? [] : [layer(evenCss(plainCss(fill)), blend)];
  });

/** The layers of a fill that is no colour, uppermost first. */
function fillLayers(fill: Fill, drawn: Drawn): string[] {
  if (isGradient(fill)) return [gradientCss(fill, drawn.namedLooks)];
  if (typeof fill === 'string' || fill.kind === 'plain') return [];
  if (!behindIn(fill)) return fill.kind === 'picture' ? pictureLayers(fill, drawn) : [];
  const poster = fill.kind === 'film' && fill.poster !== null ? drawn.image(fill.poster) : null;
  const { focalPoint, position = focalPoint, fit = 'cover' } = fill;
  return poster ? [`${poster} ${pointCss(position)} / ${fit} no-repeat`] : [];
}

/** A border of a colour, as CSS. */
function lineCss({ width }: Border, colour: string): Declarations {
  if (typeof width !== 'object') return { border: `${px(width)} solid ${colour}` };
  const { blockStart, inlineEnd, blockEnd, inlineStart } = width;
  return {
    border: `0 solid ${colour}`,
    'border-width': [blockStart, inlineEnd, blockEnd, inlineStart].map(px).join(' '),
  };
}

/** Layers as a background, with what is under them and is not mixed. */
function backgroundOf(layers: readonly Layer[], box: string, under: string | null): Declarations {
  const all = [...layers.map(({ image }) => `${image}${box}`), ...(under === null ? [] : [under])];
  const blends = layers.map(({ blend }) => blend);
  return {
    background: all.join(', ') || 'none',
    ...(blends.some((blend) => blend !== 'normal') && {
      'background-blend-mode': [...blends, ...(under === null ? [] : ['normal'])].join(', '),
    }),
  };
}

/**
 * What lies behind a tile's contents, and its border. A gradient border lies under a fill that ends before
 * it; where it would be seen through the fill it is a ring of its own (`ringCss`).
 */
export const groundCss = (ground: Ground, drawn: Drawn): Declarations => ({
  ...paintedCss(ground, drawn),
  ...((ground.backdropBlur ?? 0) > 0 && { 'backdrop-filter': `blur(${px(ground.backdropBlur ?? 0)})` }),
});

function paintedCss(ground: Ground, drawn: Drawn): Declarations {
  const { fill, over, border } = ground;
  const layers = [
    ...(behindIn(fill) ? [] : layersOver(over, drawn)),
    ...fillLayers(fill, drawn).map((image) => layer(image)),
  ];
  const isPlain = typeof fill === 'string' ? fill !== 'none' : fill.kind === 'plain';
  const plain = isPlain ? plainCss(fill as Colour | PlainPaint) : null;
  if (!hasBorder(border)) return backgroundOf(layers, '', plain);
  if (!isGradient(border.paint))
    return { ...backgroundOf(layers, ' border-box', plain), ...lineCss(border, plainCss(border.paint)) };
  const clear = lineCss(border, 'transparent');
  if (letsThrough(ground))
    return {
      ...backgroundOf(layers, ' padding-box', plain && `${plain} padding-box`),
      ...clear,
      // The ring lies on the border, outside of what a tile is clipped to otherwise.
      'overflow-clip-margin': 'border-box',
    };
  const inner = plain === null ? layers : [...layers, layer(evenCss(plain))];
  return {
    ...backgroundOf(inner, ' padding-box', `${gradientCss(border.paint, drawn.namedLooks)} border-box`),
    ...clear,
  };
}

/**
 * A gradient border as a ring over its tile: a box as large as the tile with what is inside of the border
 * taken out (CSS Masking 1, `mask-composite`). Null: there is none, or it lies under the fill.
 */
export function ringCss(ground: Ground, looks: NamedLooks | undefined): Declarations | null {
  const { border } = ground;
  if (!hasBorder(border) || !isGradient(border.paint) || !letsThrough(ground)) return null;
  const { blockStart, inlineEnd, blockEnd, inlineStart } = borderSides(border);
  return {
    content: '""',
    position: 'absolute',
    inset:
      typeof border.width === 'object'
        ? [blockStart, inlineEnd, blockEnd, inlineStart].map((side) => px(-side)).join(' ')
        : px(-blockStart),
    ...lineCss(border, 'transparent'),
    'border-radius': 'inherit',
    background: `${gradientCss(border.paint, looks)} border-box`,
    mask: 'linear-gradient(#000, #000) padding-box, linear-gradient(#000, #000)',
    'mask-composite': 'exclude',
    'pointer-events': 'none',
  };
}

/** How a picture or film behind the contents lies in its tile. */
export const behindCss = ({
  focalPoint,
  position = focalPoint,
  fit = 'cover',
  zoom = 1,
}: Behind): Declarations => ({
  display: 'block',
  ...(fit === 'contain' && { 'object-fit': 'contain' }),
  'object-position': pointCss(position),
  ...(zoom !== 1 && { scale: String(zoom), 'transform-origin': pointCss(position) }),
});

/** What lies over a picture or film behind the contents: its veil and the layers; null where there are none. */
export function overBehindCss({ fill, over }: Ground, drawn: Drawn): Declarations | null {
  const behind = behindIn(fill);
  if (!behind) return null;
  const veil = veilCss(behind.tint, drawn.namedLooks);
  const layers = [...layersOver(over, drawn), ...(veil ? [layer(veil)] : [])];
  if (layers.length === 0) return null;
  const blends = layers.map(({ blend }) => blend);
  const lowest = blends.at(-1) ?? 'normal';
  return {
    content: '""',
    position: 'absolute',
    'z-index': '-1',
    inset: '0',
    background: layers.map(({ image }) => image).join(', '),
    ...(blends.some((blend) => blend !== 'normal') && { 'background-blend-mode': blends.join(', ') }),
    // The lowest is mixed with the picture, which is no layer of this box.
    ...(lowest !== 'normal' && { 'mix-blend-mode': lowest }),
    'pointer-events': 'none',
  };
}
