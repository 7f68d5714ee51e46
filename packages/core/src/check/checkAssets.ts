/** What a collection keeps beside its tiles: pictures, films and icons. */

import { FAMILY_NAME, FONT_TAG } from '../document/font.js';
import { LIMITS } from '../document/limits.js';
import { id } from '../look/checks.js';
import { RASTER } from '../look/raster.js';
import { fields, isObject, list, number, oneOf, pattern, record, sameId, text } from '../document/checks.js';
import type { Check } from '../document/checks.js';

const extent = number(1, 100_000, 'A picture’s size', true);
const name = text(LIMITS.name, 'A name', 1);
const hash = pattern(/^[0-9a-f]{64}$/, 'A hash', '64 hexadecimal digits of SHA-256');
const alternativeText = text(2000, 'An alternative text');
const colour = pattern(/^#[0-9a-f]{6}$/i, 'A colour', '“#1e6b5c”');

export const picture =
  (key: string): Check =>
  (value, path, report) => {
    const known = {
      id,
      name,
      file: pattern(
        /^[a-z0-9][a-z0-9._-]{0,120}\.(jpe?g|png|webp|avif|gif|svg)$/i,
        'A picture’s file name',
        '“hut-at-dusk.webp”',
      ),
      hash,
      mediaType: oneOf(
        ['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif', 'image/svg+xml'],
        'A picture’s type',
      ),
      inlineSize: extent,
      blockSize: extent,
      alternativeText,
      colours: list(colour, 1, 8, 'The list of colours'),
      raster: pattern(RASTER, 'A raster', '“24x16:” and its bytes in base64'),
      placeholder: pattern(
        /^data:image\/webp;base64,[A-Za-z0-9+/=]{1,2000}$/,
        'A placeholder',
        '“data:image/webp;base64,…”',
      ),
    };
    fields(known, 'A picture', ['colours', 'raster', 'placeholder'])(value, path, report);
    sameId(value, key, path, report);
  };

export const film =
  (key: string): Check =>
  (value, path, report) => {
    const known = {
      id,
      name,
      file: pattern(/^[a-z0-9][a-z0-9._-]{0,120}\.(mp4|webm)$/i, 'A film’s file name', '“snow.webm”'),
      hash,
      mediaType: oneOf(['video/mp4', 'video/webm'], 'A film’s type'),
      inlineSize: extent,
      blockSize: extent,
      duration: number(0, 100_000, 'A duration'),
      alternativeText,
    };
    fields(known, 'A film')(value, path, report);
    sameId(value, key, path, report);
  };

const tag = pattern(FONT_TAG, 'A tag of a font', '“wdth”: four letters or digits');
const axisEnd = number(-10_000, 10_000, 'The end of an axis');
const fontWeight = number(1, 1000, 'A weight of type');

const face = fields(
  {
    hash,
    file: pattern(
      /^[a-z0-9][a-z0-9._-]{0,120}\.(woff2|ttf|otf)$/i,
      'A font’s file name',
      '“figtree-bold.woff2”',
    ),
    mediaType: oneOf(['font/woff2', 'font/ttf', 'font/otf'], 'A font’s type'),
    style: oneOf(['normal', 'italic'], 'A font’s style'),
    weight: list(fontWeight, 2, 2, 'The lightest and the heaviest weight'),
    axes: list(
      fields({ tag, min: axisEnd, max: axisEnd, default: axisEnd }, 'An axis'),
      0,
      LIMITS.fontSettings,
      'The list of axes',
    ),
    features: list(tag, 0, LIMITS.fontFeatures, 'The list of features'),
  },
  'A font',
);

export const family =
  (key: string): Check =>
  (value, path, report) => {
    const called = pattern(FAMILY_NAME, 'A type family', '“Figtree”');
    fields({ name: called, faces: list(face, 1, LIMITS.faces, 'The list of font files') }, 'A type family')(
      value,
      path,
      report,
    );
    if (isObject(value) && value.name !== key)
      report({ path, severity: 'error', message: `A type family is kept under its name, here “${key}”.` });
  };

/** What an icon is drawn with, and nothing that could load, link or run. */
const SHAPES = ['path', 'circle', 'ellipse', 'line', 'rect', 'polyline', 'polygon'];
const ATTRIBUTE = /^(d|cx|cy|r|rx|ry|x|y|x1|x2|y1|y2|width|height|points|fill)$/;
const shape: Check = (value, path, report) => {
  const wrong = (message: string) => report({ path, severity: 'error', message });
  if (!Array.isArray(value) || value.length !== 2)
    return wrong('A shape is a pair: the name of an SVG element and its attributes.');
  const [element, attributes] = value as unknown[];
  oneOf(SHAPES, 'A shape')(element, `${path}/0`, report);
  record(
    (key) => (each, at) =>
      ATTRIBUTE.test(key)
        ? pattern(/^[\w\s.,+-]{0,4000}$/, 'An attribute of a shape', '“M4 4h16”')(each, at, report)
        : wrong(`“${key}” is no attribute that an icon may have. Remove it.`),
    20,
    'A shape’s attributes',
  )(attributes, `${path}/1`, report);
};

export const icon =
  (key: string): Check =>
  (value, path, report) => {
    fields({ id, name, shapes: list(shape, 1, 100, 'The list of shapes') }, 'An icon')(value, path, report);
    sameId(value, key, path, report);
  };
