import { FAMILIES } from '../parts/families.js';
import { isAddress } from '../engine/css/address.js';
import { LIMITS } from '../document/limits.js';
import {
  fields,
  isObject,
  list,
  number,
  oneOf,
  orNull,
  pattern,
  sameId,
  shown,
  text,
} from '../document/checks.js';
import type { Check } from '../document/checks.js';

const ID = /^[a-z][a-z0-9-]{0,63}$/;
export const id = pattern(ID, 'An id', '“hut-at-dusk”: small letters, digits and hyphens');
export const words = text(LIMITS.words, 'This text');

const NAMED = /^\{[a-z][a-z0-9-]{0,63}\}$/;
const isNamed = (value: unknown) => typeof value === 'string' && NAMED.test(value);

/** A value, or a named look in its place. */
const orNamed =
  (check: Check): Check =>
  (value, path, report) => {
    if (!isNamed(value)) check(value, path, report);
  };

const plainColour = pattern(/^#[0-9a-f]{6}$/i, 'A colour', '“#1e6b5c”');
export const colour = orNamed(plainColour);
export const share = number(0, 1, 'A share');
export const point = fields({ x: share, y: share }, 'A focal point');

/** Somewhere that a link may lead. */
export const address: Check = (value, path, report) => {
  text(2000, 'An address')(value, path, report);
  if (typeof value !== 'string' || isAddress(value)) return;
  report({
    path,
    severity: 'error',
    message: `An address starts with https://, http://, mailto:, tel: or #, or is relative, without blanks around it; here it is ${shown(value)}.`,
  });
};

export const tint = fields({ colour, strength: share }, 'A tint');

const stop = fields({ id, colour, at: share, strength: share }, 'A stop of a gradient', ['id', 'strength']);
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
    { kind: oneOf(['picture'], 'The kind of a fill'), picture: id, focalPoint: point, tint },
    'A picture as fill',
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

const side = number(0, LIMITS.padding, 'A length');
const sides = fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'Four sides');
const measure = (most: number, what: string) => orNamed(number(0, most, what));
const offset = number(-LIMITS.shade, LIMITS.shade, 'A shade’s offset');
const shade = fields(
  {
    x: offset,
    y: offset,
    blur: number(0, LIMITS.shade, 'A shade’s blur'),
    spread: offset,
    colour,
    strength: share,
  },
  'A shade',
);

const typePx = number(LIMITS.typeSize.least, LIMITS.typeSize.most, 'A type size');
const pageWidth = number(LIMITS.narrowest, 10_000, 'A width');
const fluid = fields({ from: typePx, to: typePx, fromWidth: pageWidth, toWidth: pageWidth }, 'A fluid size');
const sized: Check = (value, path, report) => (isObject(value) ? fluid : typePx)(value, path, report);
const typeSize = orNamed(sized);
const family = oneOf(Object.keys(FAMILIES), 'A type family');

const typeFields = (role: string) => ({
  [`${role}Family`]: family,
  [`${role}Size`]: typeSize,
  [`${role}Weight`]: number(100, 900, 'A weight of type', true),
  [`${role}LineHeight`]: number(0.5, 4, 'A line height'),
  [`${role}Tracking`]: number(-0.5, 2, 'A tracking'),
});

const optionalLook = {
  align: oneOf(['start', 'centre', 'end', 'fill'], 'The alignment'),
  direction: oneOf(['down', 'along'], 'The direction'),
  gap: measure(LIMITS.gap, 'A gap'),
  padding: ((value, path, report) =>
    (isObject(value) ? sides : measure(LIMITS.padding, 'A padding'))(value, path, report)) as Check,
  radius: measure(LIMITS.radius, 'A corner radius'),
  border: fields(
    {
      width: number(0, LIMITS.border, 'A border’s width'),
      paint: colourOr(gradients, 'The kind of a paint'),
    },
    'A border',
  ),
  outerShade: shade,
  innerShade: shade,
  fade: sides,
  textDirection: oneOf(['inline', 'block'], 'The direction of text'),
  ...typeFields('heading'),
  ...typeFields('body'),
};
const fillOrNone: Check = (value, path, report) => {
  if (value !== 'none') colourOr(fills, 'The kind of a fill')(value, path, report);
};
const ink: Check = (value, path, report) => {
  if (value !== 'auto') colour(value, path, report);
};
const wholeLook = {
  fill: fillOrNone,
  ink,
  spread: oneOf(['start', 'centre', 'end', 'between'], 'The spread'),
  ...optionalLook,
};

export const tileLook = fields(wholeLook, 'A tile’s look', Object.keys(optionalLook));
/** What a variant changes. */
export const partOfLook = fields(wholeLook, 'A variant’s look', Object.keys(wholeLook));

export const collectionLook = fields(
  {
    ground: colour,
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
  type: sized,
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
      },
      'A named look',
    )(value, path, report);
    sameId(value, key, path, report);
  };
