import { followedBy, namedIn } from './named.js';
import { px } from '../engine/css/units.js';
import { lengthCss, type WrittenLength } from '../engine/css/writtenLength.js';
import type {
  Colour,
  FluidSize,
  FourCorners,
  FourSides,
  Measure,
  NamedLook,
  Shadow,
  TileLook,
  TypeSize,
} from '../document/look.js';
import type { Declarations } from '../engine/css/rule.js';

export const short = (value: number) => Number(value.toFixed(3));
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

/** A colour let through to an opacity of 0 to 1. */
export const faintCss = (colour: Colour, opacity: number) =>
  opacity >= 1
    ? colourCss(colour)
    : `color-mix(in srgb, ${colourCss(colour)} ${percentCss(opacity)}, transparent)`;

/** One value, or several. */
export const listOf = <Value extends object>(
  value: Value | readonly Value[] | undefined,
): readonly Value[] => (value === undefined ? [] : Array.isArray(value) ? value : [value as Value]);

/** Shades outside and inside, as `box-shadow`: the first lies uppermost. */
export function shadowsCss({
  outerShadow,
  innerShadow,
}: Pick<TileLook, 'outerShadow' | 'innerShadow'>): Declarations {
  const shadow = ({ x, y, blur, spread, colour, opacity }: Shadow) =>
    `${px(x)} ${px(y)} ${px(blur)} ${px(spread)} ${faintCss(colour, opacity)}`;
  const all = [
    ...listOf(outerShadow).map(shadow),
    ...listOf(innerShadow).map((each) => `inset ${shadow(each)}`),
  ];
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
export const sidesCss = ({ blockStart, inlineEnd, blockEnd, inlineStart }: FourSides<WrittenLength>) =>
  fourCss(blockStart, inlineEnd, blockEnd, inlineStart);

/** A corner radius, or one for each corner. */
export const radiusCss = (radius: Measure | FourCorners): string =>
  typeof radius === 'object'
    ? fourCss(radius.startStart, radius.startEnd, radius.endEnd, radius.endStart)
    : measureCss(radius);

/** Four values around a box, of which CSS takes the last ones from those opposite (CSS Box 4, section 4.1). */
function fourCss(first: WrittenLength, second: WrittenLength, third: WrittenLength, fourth: WrittenLength) {
  const kept =
    fourth !== second
      ? [first, second, third, fourth]
      : third !== first
        ? [first, second, third]
        : second !== first
          ? [first, second]
          : [first];
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
