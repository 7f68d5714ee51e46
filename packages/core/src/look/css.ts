import { followedBy, namedIn } from './named.js';
import { px } from '../engine/css/units.js';
import { lengthCss, type WrittenLength } from '../engine/css/writtenLength.js';
import type {
  Border,
  Colour,
  Fill,
  FluidSize,
  FourSides,
  Gradient,
  Measure,
  NamedLook,
  Shadow,
  TypeSize,
} from '../document/look.js';
import type { Declarations } from '../engine/css/rule.js';

const short = (value: number) => Number(value.toFixed(3));
export const percentCss = (share: number) => `${Number((share * 100).toFixed(2))}%`;

/** A colour; a named one by its custom property. */
export const colourCss = (colour: Colour) => variable(colour) ?? colour;

/** A length; a named one by its custom property. */
export const measureCss = (value: Measure) => variable(value) ?? lengthCss(value);

const variable = (value: unknown): string | null => {
  const id = namedIn(value);
  return id === null ? null : `var(--${id})`;
};

/** A part of a length. */
export const timesCss = (value: Measure | TypeSize, factor: number) =>
  typeof value === 'number'
    ? px(value * factor)
    : `calc(${typeof value === 'string' ? measureCss(value) : fluidCss(value)} * ${short(factor)})`;

/** A type size; a fluid one grows with the page's width, between two widths. */
export const typeSizeCss = (size: TypeSize) => (typeof size === 'object' ? fluidCss(size) : measureCss(size));

/** The straight line through both sizes, held at its ends (CSS Values 4, `clamp()`). */
function fluidCss({ from, to, fromWidth, toWidth }: FluidSize): string {
  const rise = (to - from) / Math.max(1, toWidth - fromWidth);
  const rest = from - rise * fromWidth;
  const [least, most] = [Math.min(from, to), Math.max(from, to)];
  const slope = `${Number((rise * 100).toFixed(4))}cqi`;
  return `clamp(${px(least)}, ${rest < 0 ? `${slope} - ${px(-rest)}` : `${px(rest)} + ${slope}`}, ${px(most)})`;
}

/** A gradient as an image (CSS Images 3, sections 3.1 and 3.2). */
export function gradientCss(gradient: Gradient): string {
  const stops = gradient.stops
    .map(({ colour, at, opacity = 1 }) => `${faintCss(colour, opacity)} ${percentCss(at)}`)
    .join(', ');
  return gradient.kind === 'linear'
    ? `linear-gradient(${short(gradient.angle)}deg, ${stops})`
    : `radial-gradient(circle at ${percentCss(gradient.x)} ${percentCss(gradient.y)}, ${stops})`;
}

/** A colour let through to an opacity of 0 to 1. */
export const faintCss = (colour: Colour, opacity: number) =>
  opacity >= 1
    ? colourCss(colour)
    : `color-mix(in srgb, ${colourCss(colour)} ${percentCss(opacity)}, transparent)`;

/** Layers of a fill, uppermost first, without the colour behind them. */
function fillLayers(fill: Fill, pictureUrl: string | null): string[] {
  if (typeof fill === 'string') return [];
  if (fill.kind !== 'picture') return [gradientCss(fill)];
  const { tint, focalPoint, fit = 'cover' } = fill;
  const at = `${percentCss(focalPoint.x)} ${percentCss(focalPoint.y)}`;
  const veil = faintCss(tint.colour, tint.opacity);
  return [
    ...(tint.opacity > 0 ? [`linear-gradient(${veil}, ${veil})`] : []),
    ...(pictureUrl ? [`${pictureUrl} ${at} / ${fit} no-repeat`] : []),
  ];
}

/** Whether something behind a fill is seen through it; what a picture lets through is not looked at. */
export const letsThrough = (fill: Fill): boolean =>
  typeof fill === 'string'
    ? fill === 'none'
    : fill.kind !== 'picture' && fill.stops.some(({ opacity = 1 }) => opacity < 1);

/**
 * What lies behind a tile's contents, and its border. A gradient border lies under a fill that ends before
 * it; where it would be seen through the fill it is a ring of its own (`ringCss`).
 */
export function groundCss(fill: Fill, border: Border | undefined, pictureUrl: string | null): Declarations {
  const layers = fillLayers(fill, pictureUrl);
  const plain = typeof fill === 'string' ? colourCss(fill) : null;
  if (!border || border.width === 0) return { background: plain ?? layers.join(', ') };
  const width = px(border.width);
  if (typeof border.paint === 'string') {
    const drawn = layers.map((layer) => `${layer} border-box`).join(', ');
    return { background: plain ?? drawn, border: `${width} solid ${colourCss(border.paint)}` };
  }
  if (letsThrough(fill))
    return {
      background: plain ?? layers.map((layer) => `${layer} padding-box`).join(', '),
      border: `${width} solid transparent`,
      // The ring lies on the border, outside of what a tile is clipped to otherwise.
      'overflow-clip-margin': 'border-box',
    };
  const inner = plain ? [`linear-gradient(${plain}, ${plain})`] : layers;
  return {
    background: [
      ...inner.map((layer) => `${layer} padding-box`),
      `${gradientCss(border.paint)} border-box`,
    ].join(', '),
    border: `${width} solid transparent`,
  };
}

/**
 * A gradient border as a ring over its tile: a box as large as the tile with what is inside of the border
 * taken out (CSS Masking 1, `mask-composite`). Null: there is none, or it lies under the fill.
 */
export function ringCss(fill: Fill, border: Border | undefined): Declarations | null {
  if (!border || border.width === 0 || typeof border.paint === 'string' || !letsThrough(fill)) return null;
  const width = px(border.width);
  return {
    content: '""',
    position: 'absolute',
    inset: px(-border.width),
    border: `${width} solid transparent`,
    'border-radius': 'inherit',
    background: `${gradientCss(border.paint)} border-box`,
    mask: 'linear-gradient(#000, #000) padding-box, linear-gradient(#000, #000)',
    'mask-composite': 'exclude',
    'pointer-events': 'none',
  };
}

/** Shades outside and inside, as `box-shadow`. */
export function shadowsCss(outer: Shadow | undefined, inner: Shadow | undefined): Declarations {
  const shadow = ({ x, y, blur, spread, colour, opacity }: Shadow) =>
    `${px(x)} ${px(y)} ${px(blur)} ${px(spread)} ${faintCss(colour, opacity)}`;
  const all = [...(outer ? [shadow(outer)] : []), ...(inner ? [`inset ${shadow(inner)}`] : [])];
  return all.length > 0 ? { 'box-shadow': all.join(', ') } : {};
}

/** Edges that fade out, as masks laid over each other (CSS Masking 1). */
export function fadeCss(fade: FourSides | undefined): Declarations {
  if (!fade) return {};
  const along = (direction: string, start: number, end: number) =>
    start === 0 && end === 0
      ? []
      : [
          `linear-gradient(${direction}, ${start > 0 ? `transparent, #000 ${px(start)}` : '#000'}, ${
            end > 0 ? `#000 calc(100% - ${px(end)}), transparent` : '#000'
          })`,
        ];
  const masks = [
    ...along('to bottom', fade.blockStart, fade.blockEnd),
    ...along('to right', fade.inlineStart, fade.inlineEnd),
  ];
  if (masks.length === 0) return {};
  return { mask: masks.join(', '), ...(masks.length > 1 && { 'mask-composite': 'intersect' }) };
}

/** Four sides, in the order of CSS, as short as they can be written. */
export function sidesCss({ blockStart, inlineEnd, blockEnd, inlineStart }: FourSides<WrittenLength>): string {
  const kept =
    inlineStart !== inlineEnd
      ? [blockStart, inlineEnd, blockEnd, inlineStart]
      : blockEnd !== blockStart
        ? [blockStart, inlineEnd, blockEnd]
        : inlineEnd !== blockStart
          ? [blockStart, inlineEnd]
          : [blockStart];
  return kept.map(lengthCss).join(' ');
}

/** The custom properties that named looks are, by name. */
export function namedLooksCss(looks: Readonly<Record<string, NamedLook>> | undefined): Declarations {
  return Object.fromEntries(
    Object.values(looks ?? {}).map((look) => [
      `--${look.id}`,
      look.follows !== undefined && followedBy(looks, look) !== null
        ? `var(--${look.follows})`
        : look.kind === 'colour'
          ? look.value
          : look.kind === 'type'
            ? typeSizeCss(look.value)
            : px(look.value),
    ]),
  );
}
