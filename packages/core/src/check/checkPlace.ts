import { AREA_NAME } from '../document/spellings.js';
import { length } from '../document/lengthCheck.js';
import { LIMITS } from '../document/limits.js';
import { fields, number, oneOf, orNull, pattern } from '../document/checks.js';

export const areaName = pattern(AREA_NAME, 'The name of an area', '“side”: letters, digits and hyphens');

const span = number(1, LIMITS.span, 'A span', true);

const pin = orNull(
  fields(
    {
      column: number(1, LIMITS.columns, 'A column line', true),
      row: number(1, LIMITS.rows, 'A row line', true),
    },
    'A pin',
  ),
);

const lie = oneOf(['stretch', 'start', 'center', 'end'], 'The fit of a tile');
const ownSize = orNull(length(1, LIMITS.track, 'An own size', true));
const fit = fields({ inline: lie, block: lie, inlineSize: ownSize, blockSize: ownSize }, 'A fit');
const placeFields = {
  columnSpan: span,
  rowSpan: span,
  pin,
  area: orNull(areaName),
  fit,
  layer: number(-LIMITS.layer, LIMITS.layer, 'A layer', true),
  order: number(-LIMITS.order, LIMITS.order, 'An order', true),
  hidden: oneOf([true, false], 'Whether a tile is hidden'),
  breakBefore: oneOf([true, false], 'The row break'),
  slot: orNull(
    fields(
      {
        column: number(1, LIMITS.columns, 'A column line', true),
        row: number(1, LIMITS.rows, 'A row line', true),
        columnSpan: span,
        rowSpan: span,
      },
      'A slot of a mosaic',
    ),
  ),
};
const optionalInPlace = ['area', 'fit', 'layer', 'order', 'hidden', 'breakBefore', 'slot'];
export const place = fields(placeFields, 'A place', optionalInPlace);
const derived = oneOf([true], 'Whether spans are derived');
/** What a narrower band says of it. */
export const ownPlace = fields({ ...placeFields, derived, derivedPin: pin }, 'A place', [
  ...Object.keys(placeFields),
  'derived',
  'derivedPin',
]);
