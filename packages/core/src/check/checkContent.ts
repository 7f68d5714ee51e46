import { LIMITS } from '../document/limits.js';
import { address, id, point, tint, words } from './checkLook.js';
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

const flag = oneOf([true, false], 'This');
const span = fields({ text: words, strong: flag, emphasis: flag, link: address }, 'A run of words', [
  'strong',
  'emphasis',
  'link',
]);
const spans = list(span, 0, LIMITS.spans, 'A list of words');
const paragraph = fields({ kind: oneOf(['paragraph'], 'The kind of a block'), spans }, 'A paragraph');
const items = fields(
  {
    kind: oneOf(['list', 'numbered'], 'The kind of a block'),
    items: list(spans, 0, LIMITS.spans, 'A list'),
  },
  'A list',
);
const block: Check = (value, path, report) => {
  const kind = isObject(value) ? value.kind : undefined;
  if (kind === 'paragraph') return paragraph(value, path, report);
  if (kind === 'list' || kind === 'numbered') return items(value, path, report);
  oneOf(['paragraph', 'list', 'numbered'], 'The kind of a block')(kind, `${path}/kind`, report);
};
const rich = list(block, 0, LIMITS.spans, 'Rich text');
const wordsOrRich: Check = (value, path, report) =>
  (Array.isArray(value) ? rich : words)(value, path, report);

const mark = fields({ id, icon: orNull(id), picture: orNull(id), label: words, address }, 'A mark', ['id']);

/** Fields of content that a tile may leave out. */
export const OPTIONAL_CONTENT = ['headingLevel', 'shows', 'zoom', 'position', 'tint', 'enlarges'];

/** The content of every kind but group. */
export const contents: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  text: {
    eyebrow: words,
    heading: words,
    headingLevel: number(1, 6, 'A heading’s level', true),
    body: wordsOrRich,
  },
  picture: {
    picture: orNull(id),
    focalPoint: point,
    caption: words,
    shows: oneOf(['cover', 'contain'], 'How a picture shows'),
    zoom: number(1, LIMITS.zoom, 'A zoom'),
    position: point,
    tint,
    enlarges: text(60, 'The name of a set of pictures', 1),
  },
  stat: { figure: words, label: words },
  quote: { words, source: words },
  marks: {
    marks: list(mark, 0, LIMITS.marks, 'The list of marks'),
    markSize: number(8, 200, 'A mark’s size'),
    showLabels: flag,
  },
  action: { label: words, address },
  film: {
    film: orNull(id),
    poster: orNull(id),
    focalPoint: point,
    caption: words,
    plays: oneOf(['itself', 'controls'], 'How a film plays'),
  },
};

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
      placeholder: pattern(
        /^data:image\/webp;base64,[A-Za-z0-9+/=]{1,2000}$/,
        'A placeholder',
        '“data:image/webp;base64,…”',
      ),
    };
    fields(known, 'A picture', ['colours', 'placeholder'])(value, path, report);
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
