/** Checks of the values that looks and parts are made of. */

import { isAddress } from '../engine/css/address.js';
import { fields, isObject, list, number, oneOf, pattern, shown, text } from '../document/checks.js';
import { LIMITS } from '../document/limits.js';
import type { Check } from '../document/checks.js';

export const ID = /^[a-z][a-z0-9-]{0,63}$/;
export const id = pattern(ID, 'An id', '“hut-at-dusk”: small letters, digits and hyphens');
export const words = text(LIMITS.words, 'This text');

const NAMED = /^\{[a-z][a-z0-9-]{0,63}\}$/;
const isNamed = (value: unknown) => typeof value === 'string' && NAMED.test(value);

/** A value, or a named look in its place. */
export const orNamed =
  (check: Check): Check =>
  (value, path, report) => {
    if (!isNamed(value)) check(value, path, report);
  };

export const plainColour = pattern(/^#[0-9a-f]{6}$/i, 'A colour', '“#1e6b5c”');
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

const stop = fields({ id, colour, at: share, opacity: share }, 'A stop of a gradient', ['id', 'opacity']);
const stops = list(stop, 2, LIMITS.stops, 'The list of stops');
const angle = number(-360, 360, 'An angle');
const kind = (name: string) => oneOf([name], 'The kind of a fill');
/** A middle may lie outside of its tile. */
const middle = number(-LIMITS.outside, 1 + LIMITS.outside, 'The middle of a gradient');
const radius = number(0.01, LIMITS.reach, 'A radius of a gradient');
const radii = fields({ x: radius, y: radius }, 'The radii of a gradient');

export const gradients: Readonly<Record<string, Check>> = {
  linear: fields({ kind: kind('linear'), angle, stops }, 'A linear gradient'),
  radial: fields({ kind: kind('radial'), x: middle, y: middle, radii, angle, stops }, 'A radial gradient', [
    'radii',
    'angle',
  ]),
  conic: fields({ kind: kind('conic'), x: middle, y: middle, angle, stops }, 'A conic gradient'),
};

const evenTint = fields({ colour, opacity: share }, 'A tint');

/** What is laid over a picture: a colour, or a gradient. */
export const tint: Check = (value, path, report) => {
  const named = isObject(value) ? String(value.kind) : '';
  const gradient = Object.hasOwn(gradients, named) ? gradients[named] : undefined;
  (gradient ?? evenTint)(value, path, report);
};
