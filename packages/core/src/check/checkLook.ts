import { colour, gradients, id, orNamed, plainColour, point, share, tint } from '../look/checks.js';
import { FAMILY_NAME, FONT_TAG } from '../document/font.js';
import { BLENDS } from '../document/look.js';
import { length } from '../document/lengthCheck.js';
import { LIMITS } from '../document/limits.js';
import {
  fields,
  isObject,
  list,
  number,
  oneOf,
  orNull,
  pattern,
  record,
  sameId,
  text,
} from '../document/checks.js';
import type { Check } from '../document/checks.js';

const paints: Readonly<Record<string, Check>> = {
  ...gradients,
  plain: fields(
    { kind: oneOf(['plain'], 'The kind of a fill'), colour, opacity: share },
    'A colour with its opacity',
  ),
};
const media = {
  focalPoint: point,
  tint,
  fit: oneOf(['cover', 'contain'], 'The fit of a picture'),
  zoom: number(1, LIMITS.zoom, 'A zoom'),
  position: point,
};
const OPTIONAL_IN_MEDIA = ['fit', 'zoom', 'position'];
const layerFills: Readonly<Record<string, Check>> = {
  ...paints,
  picture: fields(
    { kind: oneOf(['picture'], 'The kind of a fill'), picture: id, ...media },
    'A picture as fill',
    OPTIONAL_IN_MEDIA,
  ),
};
const fills: Readonly<Record<string, Check>> = {
  ...layerFills,
  film: fields(
    { kind: oneOf(['film'], 'The kind of a fill'), film: id, poster: orNull(id), ...media },
    'A film as fill',
    OPTIONAL_IN_MEDIA,
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
    id,
    x: offset,
    y: offset,
    blur: number(0, LIMITS.shadow, 'A shadow’s blur'),
    spread: offset,
    colour,
    opacity: share,
  },
  'A shadow',
  ['id'],
);
const severalShadows = list(shadow, 1, LIMITS.layers, 'The list of shadows');
const shadows: Check = (value, path, report) =>
  (Array.isArray(value) ? severalShadows : shadow)(value, path, report);
const sizeOfCorner = length(0, LIMITS.radius, 'A corner radius');
const corners = fields(
  { startStart: sizeOfCorner, startEnd: sizeOfCorner, endEnd: sizeOfCorner, endStart: sizeOfCorner },
  'Four corners',
);
const borderWidth = number(0, LIMITS.border, 'A border’s width');
const borderSides = sides(borderWidth);

const typePx = number(LIMITS.typeSize.min, LIMITS.typeSize.max, 'A type size');
const pageWidth = number(LIMITS.narrowest, 10_000, 'A width');
const fluid = fields({ from: typePx, to: typePx, fromWidth: pageWidth, toWidth: pageWidth }, 'A fluid size');
const sized =
  (one: Check): Check =>
  (value, path, report) =>
    (isObject(value) ? fluid : one)(value, path, report);
const typeSize = orNamed(sized(length(LIMITS.typeSize.min, LIMITS.typeSize.max, 'A type size')));
const family = pattern(
  FAMILY_NAME,
  'A type family',
  `“Figtree”: letters, digits, spaces and . _ + & -, at most 60 characters`,
);
const tag = pattern(FONT_TAG, 'A tag of a font', '“tnum”: four letters or digits');
const axisValue = number(-10_000, 10_000, 'The value of an axis');

const typeFields = (role: string) => ({
  [`${role}Family`]: family,
  [`${role}Size`]: typeSize,
  [`${role}Weight`]: number(100, 900, 'A weight of type', true),
  [`${role}LineHeight`]: number(0.5, 4, 'A line height'),
  [`${role}LetterSpacing`]: number(-0.5, 2, 'A letter spacing'),
  [`${role}Features`]: list(tag, 0, LIMITS.fontSettings, 'The list of features'),
  [`${role}Axes`]: record(
    (key) => (value, path, report) => {
      tag(key, path, report);
      axisValue(value, path, report);
    },
    LIMITS.fontSettings,
    'The set of axes',
  ),
  [`${role}Wrap`]: oneOf(['wrap', 'balance', 'pretty'], 'How lines are broken'),
});

const optionalLook = {
  over: list(
    fields(
      { id, fill: colourOr(layerFills, 'The kind of a layer'), blend: oneOf(BLENDS, 'How a layer is mixed') },
      'A layer',
      ['id', 'blend'],
    ),
    0,
    LIMITS.layers,
    'The list of layers',
  ),
  backdropBlur: number(0, LIMITS.blur, 'A blur'),
  align: oneOf(['start', 'center', 'end', 'stretch'], 'The alignment'),
  direction: oneOf(['column', 'row'], 'The direction'),
  gap: measure(LIMITS.gap, 'A gap'),
  padding: ((value, path, report) =>
    (isObject(value) ? paddings : measure(LIMITS.padding, 'A padding'))(value, path, report)) as Check,
  radius: ((value, path, report) =>
    (isObject(value) ? corners : measure(LIMITS.radius, 'A corner radius'))(value, path, report)) as Check,
  border: fields(
    {
      width: (value, path, report) => (isObject(value) ? borderSides : borderWidth)(value, path, report),
      paint: colourOr(paints, 'The kind of a paint'),
    },
    'A border',
  ),
  outerShadow: shadows,
  innerShadow: shadows,
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

const UNSTYLED = ['spread', 'align', 'direction', 'writingDirection', 'fade'];
const styled = Object.fromEntries(Object.entries(wholeLook).filter(([field]) => !UNSTYLED.includes(field)));
const styleLook = fields(styled, 'What a style sets', Object.keys(styled));

export const style =
  (key: string): Check =>
  (value, path, report) => {
    fields({ id, name: text(LIMITS.name, 'A name', 1), look: styleLook }, 'A style')(value, path, report);
    sameId(value, key, path, report);
  };

const wash = fields(
  { of: id, lightness: share, chroma: number(0, 0.4, 'A chroma'), turn: number(-360, 360, 'A turn of hue') },
  'A wash',
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
        ...(kind === 'colour' && { wash }),
      },
      'A named look',
      ['follows', 'wash'],
    )(value, path, report);
    sameId(value, key, path, report);
  };
