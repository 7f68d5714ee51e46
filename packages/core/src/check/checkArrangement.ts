import { arrangementKinds } from '../arrangements/index.js';
import { NO_AREA } from '../arrangements/bento/areaMap.js';
import { parseAreas } from '../engine/css/parseTracks.js';
import { formatTrackSize } from '../engine/css/trackSize.js';
import { id } from '../look/checks.js';
import { areaName } from './checkPlace.js';
import { LIMITS } from '../document/limits.js';
import { length } from '../document/lengthCheck.js';
import { TRACK_LIKE } from '../document/spellings.js';
import {
  fields,
  isObject,
  list,
  number,
  oneOf,
  orNull,
  shown,
  text,
  type Check,
} from '../document/checks.js';

const track: Check = (value, path, report) => {
  if (typeof value === 'string' && formatTrackSize(value) !== null) return;
  report({ path, severity: 'error', message: `${TRACK_LIKE}; here it is ${shown(value)}.` });
};

const shareRows = oneOf(['share'], 'What rows do with the height');
const heights: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  content: {},
  fixed: { px: length(1, LIMITS.height, 'A height'), rows: shareRows },
  screen: { share: number(0.01, 4, 'A share of the screen'), rows: shareRows },
};
const height: Check = (value, path, report) => {
  const kind = isObject(value) ? String(value.kind) : '';
  const known = oneOf(Object.keys(heights), 'The kind of a height');
  const own = Object.hasOwn(heights, kind) ? heights[kind] : {};
  fields({ kind: known, ...own }, 'A height', ['rows'])(value, path, report);
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

/** @param shares whether it is known what a share of the width is of: it is not in a group */
function arrangementFields(shares: boolean) {
  const side = length(0, LIMITS.padding, 'A padding', shares);
  return {
    columns: list(track, 1, LIMITS.columns, 'The list of columns'),
    rows: list(track, 0, LIMITS.rows, 'The list of rows'),
    columnIds: list(id, 0, LIMITS.columns, 'The list of ids of columns'),
    rowIds: list(id, 0, LIMITS.rows, 'The list of ids of rows'),
    autoRows: track,
    columnGap: length(0, LIMITS.gap, 'A gap', shares),
    rowGap: length(0, LIMITS.gap, 'A gap'),
    padding: fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'A padding'),
    flow: oneOf(['sparse', 'dense'], 'The flow'),
    maxInlineSize: orNull(length(LIMITS.narrowest, 10_000, 'A maximum width', shares)),
    height,
    areas,
    cells: oneOf(['square', 'tracks'], 'The shape of cells'),
  };
}
const OPTIONAL = ['columnIds', 'rowIds', 'height', 'areas', 'cells'];

/** With the kinds that are known, and the values of each. */
function allFields(shares: boolean): Readonly<Record<string, Check>> {
  const kinds = arrangementKinds();
  return {
    kind: oneOf(
      kinds.map(({ name }) => name),
      'The kind of arrangement',
    ),
    ...arrangementFields(shares),
    ...valueChecks(),
  };
}

const valueChecks = (): Readonly<Record<string, Check>> =>
  Object.fromEntries(
    arrangementKinds().flatMap(({ values }) => (values ? [[values.field, values.check]] : [])),
  );

const own =
  (shares: boolean): Check =>
  (value, path, report) => {
    const known = allFields(shares);
    fields(known, 'What a band sets of an arrangement', Object.keys(known))(value, path, report);
  };

const whole =
  (shares: boolean): Check =>
  (value, path, report) =>
    fields(allFields(shares), 'The arrangement', [...OPTIONAL, ...Object.keys(valueChecks())])(
      value,
      path,
      report,
    );

/** What a band says of the arrangement that it changes, and of that of a group. */
export const [ownArrangement, ownGroupArrangement] = [own(true), own(false)];

export const [arrangement, groupArrangement] = [whole(true), whole(false)];
