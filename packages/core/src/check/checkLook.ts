import { colour, id, orNamed, plainColour, point, share, tint } from '../look/checks.js';
import { FAMILIES } from '../parts/families.js';
import { length } from '../document/lengthCheck.js';
import { LIMITS } from '../document/limits.js';
import { fields, isObject, list, number, oneOf, orNull, sameId, text } from '../document/checks.js';
import type { Check } from '../document/checks.js';

const stop = fields({ id, colour, at: share, opacity: share }, 'A stop of a gradient', ['id', 'opacity']);
const stops = list(stop, 2, LIMITS.stops, 'The list of stops');
const gradients: Readonly<Record<string, Check>> = {
  linear: fields(
    { kind: oneOf(['linear'], 'The kind of a fill'), angle: number(-360, 360, 'An angle'), stops },
    'A linear gradient',
  ),
  radial: fields(
    { kind: oneOf(['radial'], 'The kind of a fill'), x: share, y: share, stops },
    'A radial gradient',
  ),
};
const fills: Readonly<Record<string, Check>> = {
  ...gradients,
  picture: fields(
    {
      kind: oneOf(['picture'], 'The kind of a fill'),
      picture: id,
      focalPoint: point,
      tint,
      fit: oneOf(['cover', 'contain'], 'The fit of a picture'),
    },
    'A picture as fill',
    ['fit'],
  ),
};

const colourOr =
  (kinds: Readonly<Record<string, Check>>, what: string): Check =>
  (value, path, report) => {
    if (!isObject(value)) return colour(value, path, report);
    const kind = String(value.kind);
    if (Object.hasOwn(kinds, kind)) return kinds[kind]?.(value, path, report);
    oneOf(Object.keys(kinds), what)(value.kind, `${path}/kind`, report);
  };

const sides = (side: Check) =>
  fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'Four sides');
const paddings = sides(length(0, LIMITS.padding, 'A padding'));
const fades = sides(number(0, LIMITS.padding, 'A fade'));
const measure = (most: number, what: string) => orNamed(length(0, most, what));
const offset = number(-LIMITS.shadow, LIMITS.shadow, 'A shadow’s offset');
const shadow = fields(
  {
    x: offset,
    y: offset,
    blur: number(0, LIMITS.shadow, 'A shadow’s blur'),
    spread: offset,
    colour,
    opacity: share,
  },
  'A shadow',
);

const typePx = number(LIMITS.typeSize.min, LIMITS.typeSize.max, 'A type size');
const pageWidth = number(LIMITS.narrowest, 10_000, 'A width');
const fluid = fields({ from: typePx, to: typePx, fromWidth: pageWidth, toWidth: pageWidth }, 'A fluid size');
const sized =
  (one: Check): Check =>
  (value, path, report) =>
    (isObject(value) ? fluid : one)(value, path, report);
const typeSize = orNamed(sized(length(LIMITS.typeSize.min, LIMITS.typeSize.max, 'A type size')));
const family = oneOf(Object.keys(FAMILIES), 'A type family');

const typeFields = (role: string) => ({
  [`${role}Family`]: family,
  [`${role}Size`]: typeSize,
  [`${role}Weight`]: number(100, 900, 'A weight of type', true),
  [`${role}LineHeight`]: number(0.5, 4, 'A line height'),
  [`${role}LetterSpacing`]: number(-0.5, 2, 'A letter spacing'),
});

const optionalLook = {
  align: oneOf(['start', 'center', 'end', 'stretch'], 'The alignment'),
  direction: oneOf(['column', 'row'], 'The direction'),
  gap: measure(LIMITS.gap, 'A gap'),
  padding: ((value, path, report) =>
    (isObject(value) ? paddings : measure(LIMITS.padding, 'A padding'))(value, path, report)) as Check,
  radius: measure(LIMITS.radius, 'A corner radius'),
  border: fields(
    {
      width: number(0, LIMITS.border, 'A border’s width'),
      paint: colourOr(gradients, 'The kind of a paint'),
    },
    'A border',
  ),
  outerShadow: shadow,
  innerShadow: shadow,
  fade: fades,
  writingDirection: oneOf(['horizontal', 'vertical'], 'The writing direction'),
  ...typeFields('heading'),
  ...typeFields('body'),
};
const fillOrNone: Check = (value, path, report) => {
  if (value !== 'none') colourOr(fills, 'The kind of a fill')(value, path, report);
};
const textColour: Check = (value, path, report) => {
  if (value !== 'auto') colour(value, path, report);
};
const wholeLook = {
  fill: fillOrNone,
  textColour,
  spread: oneOf(['start', 'center', 'end', 'between'], 'The spread'),
  ...optionalLook,
};

export const tileLook = fields(wholeLook, 'A tile’s look', Object.keys(optionalLook));
/** What a band sets of it; null where it lets go of what the tile says. */
export const bandLook = fields(
  {
    ...wholeLook,
    ...Object.fromEntries(Object.entries(optionalLook).map(([field, check]) => [field, orNull(check)])),
  },
  'A band’s look of a tile',
  Object.keys(wholeLook),
);
/** What a variant changes. */
export const partOfLook = fields(wholeLook, 'A variant’s look', Object.keys(wholeLook));

export const collectionLook = fields(
  {
    background: colour,
    radius: measure(LIMITS.radius, 'A corner radius'),
    tilePadding: measure(LIMITS.padding, 'A padding'),
    headingFamily: family,
    bodyFamily: family,
    headingSize: typeSize,
    bodySize: typeSize,
  },
  'The look',
);

const named: Readonly<Record<string, Check>> = {
  colour: plainColour,
  radius: number(0, LIMITS.radius, 'A corner radius'),
  space: number(0, LIMITS.padding, 'A space'),
  type: sized(typePx),
};

export const namedLook =
  (key: string): Check =>
  (value, path, report) => {
    const kind = isObject(value) ? String(value.kind) : '';
    fields(
      {
        id,
        name: text(LIMITS.name, 'A name', 1),
        kind: oneOf(Object.keys(named), 'The kind of a named look'),
        value: (Object.hasOwn(named, kind) ? named[kind] : orNull(plainColour)) as Check,
        follows: id,
      },
      'A named look',
      ['follows'],
    )(value, path, report);
    sameId(value, key, path, report);
  };
