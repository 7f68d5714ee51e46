import { NO_AREA } from '../bento/areaMap.js';
import { parseAreas } from '../css/parseTracks.js';
import { formatTrackSize } from '../css/trackSize.js';
import { id } from './checkLook.js';
import { areaName } from './checkPlace.js';
import { LIMITS } from './limits.js';
import { TRACK_LIKE } from './spellings.js';
import { fields, isObject, list, number, oneOf, orNull, shown, text, type Check } from './reader.js';
import type { ArrangementName } from './types.js';

const track: Check = (value, path, report) => {
  if (typeof value === 'string' && formatTrackSize(value) !== null) return;
  report({ path, severity: 'error', message: `${TRACK_LIKE}; here it is ${shown(value)}.` });
};

const side = number(0, LIMITS.padding, 'A padding');
const heights: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  content: {},
  fixed: { px: number(1, LIMITS.height, 'A height') },
  screen: { share: number(0.01, 4, 'A share of the screen') },
};
const height: Check = (value, path, report) => {
  const kind = isObject(value) ? String(value.kind) : '';
  const known = oneOf(Object.keys(heights), 'The kind of a height');
  fields({ kind: known, ...(Object.hasOwn(heights, kind) && heights[kind]) }, 'A height')(
    value,
    path,
    report,
  );
};

/** A line a row, names with blanks between, every area a rectangle. */
const areas: Check = (value, path, report) => {
  list(
    text(LIMITS.columns * 65, 'A row of the map', 1),
    0,
    LIMITS.rows,
    'The map of areas',
  )(value, path, report);
  if (!Array.isArray(value) || value.length === 0 || !value.every((row) => typeof row === 'string')) return;
  const names = value.flatMap((row: string) => row.trim().split(/\s+/)).filter((name) => name !== NO_AREA);
  names.forEach((name) => areaName(name, path, report));
  if (parseAreas(value)) return;
  report({
    path,
    severity: 'error',
    message:
      'In a map of areas every row has as many names as the first, and every area is a rectangle. “.” is a cell of no area.',
  });
};

const fluid = fields(
  {
    repeat: oneOf(['auto-fit', 'auto-fill'], 'How columns repeat'),
    minimum: number(1, LIMITS.track, 'A least width of columns'),
    most: orNull(number(1, LIMITS.columns, 'A greatest number of columns', true)),
    spansFrom: orNull(number(0, LIMITS.track, 'A width from which spans apply')),
  },
  'A fluid arrangement’s columns',
);

const columnCount = (what: string) => ({
  count: orNull(number(1, LIMITS.columns, `A number of ${what}`, true)),
  minimum: number(1, LIMITS.track, `A least width of ${what}`),
  most: orNull(number(1, LIMITS.columns, `A greatest number of ${what}`, true)),
});
const masonry = fields(
  {
    direction: oneOf(['block', 'inline'], 'The direction of lanes'),
    laneSize: number(1, LIMITS.track, 'A height of lanes'),
    ...columnCount('lanes'),
    order: oneOf(['kept', 'balanced'], 'The order in lanes'),
    tolerance: number(0, LIMITS.track, 'A tolerance'),
  },
  'Masonry',
  ['direction', 'laneSize'],
);
const rowHeight = number(1, LIMITS.track, 'A height of rows');
const gallery = fields(
  {
    target: rowHeight,
    least: rowHeight,
    most: rowHeight,
    lastRow: oneOf(['justified', 'at-most-target'], 'The last row'),
  },
  'A row gallery',
);
const mosaic = fields(
  {
    ...columnCount('modules'),
    shareOfLarge: number(0, 1, 'A share of large pictures'),
    mostCrop: number(0, 1, 'The most that is cropped'),
    seed: number(0, LIMITS.seed, 'A seed', true),
  },
  'A mosaic',
);
const fan = fields(
  {
    axis: oneOf(['inline', 'block'], 'The axis of a fan'),
    inlineSize: number(1, LIMITS.track, 'A width of cards'),
    blockSize: number(1, LIMITS.track, 'A height of cards'),
    strip: number(0, LIMITS.track, 'A strip'),
    open: oneOf(['first', 'last'], 'The card that lies open'),
  },
  'A fan',
);

const arrangementFields = {
  columns: list(track, 1, LIMITS.columns, 'The list of columns'),
  rows: list(track, 0, LIMITS.rows, 'The list of rows'),
  columnIds: list(id, 0, LIMITS.columns, 'The list of ids of columns'),
  rowIds: list(id, 0, LIMITS.rows, 'The list of ids of rows'),
  autoRows: track,
  columnGap: number(0, LIMITS.gap, 'A gap'),
  rowGap: number(0, LIMITS.gap, 'A gap'),
  padding: fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'A padding'),
  flow: oneOf(['sparse', 'dense'], 'The flow'),
  maxInlineSize: orNull(number(LIMITS.narrowest, 10_000, 'A maximum width')),
  height,
  areas,
  cells: oneOf(['square', 'tracks'], 'The shape of cells'),
  fluid,
  masonry,
  gallery,
  mosaic,
  fan,
};
const optionalInArrangement = [
  'columnIds',
  'rowIds',
  'height',
  'areas',
  'cells',
  'fluid',
  'masonry',
  'gallery',
  'mosaic',
  'fan',
];
const KINDS: readonly ArrangementName[] = ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'];
const withKind = { kind: oneOf(KINDS, 'The kind of arrangement'), ...arrangementFields };
/** What a band says of the arrangement that it changes. */
export const ownArrangement = fields(withKind, 'What a band sets of an arrangement', Object.keys(withKind));
export const arrangement = fields(withKind, 'The arrangement', optionalInArrangement);
