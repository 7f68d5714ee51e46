import { FAMILIES } from '../page/families.js';
import { NO_AREA } from '../bento/areaMap.js';
import { parseAreas } from '../css/parseTracks.js';
import { formatTrackSize } from '../css/trackSize.js';
import { AREA_NAME, TRACK_LIKE } from './spellings.js';
import { LIMITS } from './limits.js';
import { migrate } from './migrate.js';
import { fields, isObject, list, number, oneOf, orNull, pattern, record, shown, text } from './reader.js';
import type { Check, Report } from './reader.js';
import type { Problem } from './problems.js';
import type { CollectionDocument } from './types.js';

export interface CheckedDocument {
  /** The document in the present format version, when no problem is an error. */
  readonly document: CollectionDocument | null;
  readonly problems: readonly Problem[];
}

const ID = /^[a-z][a-z0-9-]{0,63}$/;
const id = pattern(ID, 'An id', '“hut-at-dusk”: small letters, digits and hyphens');
const name = text(LIMITS.name, 'A name', 1);
const words = text(LIMITS.words, 'This text');
const colour = pattern(/^#[0-9a-f]{6}$/i, 'A colour', '“#1e6b5c”');
const span = number(1, LIMITS.span, 'A span', true);

const track: Check = (value, path, report) => {
  if (typeof value === 'string' && formatTrackSize(value) !== null) return;
  report({ path, severity: 'error', message: `${TRACK_LIKE}; here it is ${shown(value)}.` });
};

const pin = orNull(
  fields(
    {
      column: number(1, LIMITS.columns, 'A column line', true),
      row: number(1, LIMITS.rows, 'A row line', true),
    },
    'A pin',
  ),
);

const areaName = pattern(AREA_NAME, 'The name of an area', '“side”: letters, digits and hyphens');
const lie = oneOf(['fill', 'start', 'centre', 'end'], 'How a tile lies in its cells');
const ownSize = orNull(number(1, LIMITS.track, 'A size of its own'));
const fit = fields({ inline: lie, block: lie, inlineSize: ownSize, blockSize: ownSize }, 'A fit');
const placeFields = {
  columnSpan: span,
  rowSpan: span,
  pin,
  area: orNull(areaName),
  fit,
  layer: number(-LIMITS.layer, LIMITS.layer, 'A layer', true),
};
const place = fields(placeFields, 'A place', ['area', 'fit', 'layer']);
const ownPlace = fields(placeFields, 'A place', Object.keys(placeFields));

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

const arrangementFields = {
  columns: list(track, 1, LIMITS.columns, 'The list of columns'),
  rows: list(track, 0, LIMITS.rows, 'The list of rows'),
  autoRows: track,
  columnGap: number(0, LIMITS.gap, 'A gap'),
  rowGap: number(0, LIMITS.gap, 'A gap'),
  padding: fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'A padding'),
  flow: oneOf(['sparse', 'dense'], 'The flow'),
  maxInlineSize: orNull(number(LIMITS.narrowest, 10_000, 'A maximum width')),
  height,
  areas,
};
const optionalInArrangement = ['height', 'areas'];
const ownArrangement = fields(arrangementFields, 'A band’s arrangement', Object.keys(arrangementFields));
const arrangement = fields(
  { kind: oneOf(['bento'], 'The kind of arrangement'), ...arrangementFields },
  'The arrangement',
  optionalInArrangement,
);

const band = fields(
  {
    id,
    below: number(LIMITS.narrowest + 1, LIMITS.widest, 'A breakpoint'),
    arrangement: ownArrangement,
    tiles: record(() => ownPlace, LIMITS.tiles, 'A band’s list of places'),
    groups: record(() => ownArrangement, LIMITS.tiles, 'A band’s list of groups'),
  },
  'A band',
  ['groups'],
);

const typeSize = number(LIMITS.typeSize.least, LIMITS.typeSize.most, 'A type size');
const tileLook = fields(
  {
    fill: colour,
    ink: colour,
    spread: oneOf(['start', 'centre', 'end', 'between'], 'The spread'),
    headingSize: typeSize,
    bodySize: typeSize,
  },
  'A tile’s look',
  ['headingSize', 'bodySize'],
);

const share = number(0, 1, 'A share');
const ADDRESS = /^(https?:\/\/|mailto:|tel:|#|\.{0,2}\/|[a-z0-9])/i;
const SCRIPT_ADDRESS = /^\s*(javascript|data|vbscript):/i;
const address: Check = (value, path, report) => {
  text(2000, 'An address')(value, path, report);
  if (typeof value !== 'string' || value === '') return;
  if (ADDRESS.test(value) && !SCRIPT_ADDRESS.test(value)) return;
  report({
    path,
    severity: 'error',
    message: `An address starts with https://, mailto:, # or is relative; here it is ${shown(value)}.`,
  });
};

const contents: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  text: { eyebrow: words, heading: words, body: words },
  picture: {
    picture: orNull(id),
    focalPoint: fields({ x: share, y: share }, 'A focal point'),
    caption: words,
  },
  stat: { figure: words, label: words },
  quote: { words, source: words },
  action: { label: words, address },
  group: { arrangement, order: list(id, 0, LIMITS.tiles, 'The reading order') },
};

const corner = oneOf(['start', 'centre', 'end'], 'Where a badge sits');
const badge = fields({ words, inline: corner, block: corner, fill: colour, ink: colour }, 'A badge');
const weight = number(1, 5, 'A weight', true);
const badges = list(badge, 0, LIMITS.badges, 'The list of badges');

const tile =
  (key: string): Check =>
  (value, path, report) => {
    const kind = isObject(value) ? String(value.kind) : '';
    const content = Object.hasOwn(contents, kind) ? contents[kind] : undefined;
    if (isObject(value) && !content) {
      return oneOf(Object.keys(contents), 'A tile’s kind')(value.kind, `${path}/kind`, report);
    }
    const known = {
      id,
      name,
      kind: oneOf([kind], 'A tile’s kind'),
      place,
      look: tileLook,
      badges,
      weight,
      ...content,
    };
    fields(known, kind ? `A ${kind} tile` : 'A tile', ['badges', 'weight'])(value, path, report);
    sameId(value, key, path, report);
  };

const picture =
  (key: string): Check =>
  (value, path, report) => {
    const extent = number(1, 100_000, 'A picture’s size', true);
    const known = {
      id,
      name,
      file: pattern(
        /^[a-z0-9][a-z0-9._-]{0,120}\.(jpe?g|png|webp)$/i,
        'A picture’s file name',
        '“hut-at-dusk.webp”',
      ),
      hash: pattern(/^[0-9a-f]{64}$/, 'A picture’s hash', '64 hexadecimal digits of SHA-256'),
      mediaType: oneOf(['image/jpeg', 'image/png', 'image/webp'], 'A picture’s type'),
      inlineSize: extent,
      blockSize: extent,
      alternativeText: text(2000, 'An alternative text'),
    };
    fields(known, 'A picture')(value, path, report);
    sameId(value, key, path, report);
  };

const familyName = oneOf(Object.keys(FAMILIES), 'A type family');
const collection = fields(
  {
    formatVersion: oneOf([1], 'The format version'),
    name,
    language: pattern(/^[a-z]{2,3}(-[a-z0-9]{2,8})*$/i, 'A language', '“en” or “pt-BR”'),
    arrangement,
    bands: list(band, 0, LIMITS.bands, 'The list of bands'),
    look: fields(
      {
        ground: colour,
        radius: number(0, LIMITS.radius, 'A corner radius'),
        tilePadding: number(0, LIMITS.padding, 'A padding'),
        headingFamily: familyName,
        bodyFamily: familyName,
        headingSize: typeSize,
        bodySize: typeSize,
      },
      'The look',
    ),
    tiles: record(tile, LIMITS.tiles, 'The set of tiles'),
    order: list(id, 0, LIMITS.tiles, 'The reading order'),
    pictures: record(picture, LIMITS.tiles, 'The set of pictures'),
  },
  'A collection',
);

/**
 * Checks a document that came from outside: a file, a request, a store. An older format version is
 * brought up to the present one first. Fields that are not known are kept and reported as notices.
 */
export function checkDocument(input: unknown): CheckedDocument {
  const { value, problems: fromMigration } = migrate(input);
  const problems: Problem[] = [...fromMigration];
  const report: Report = (problem) => problems.push(problem);
  if (problems.length === 0) {
    collection(value, '', report);
    if (problems.every(isNotice)) checkReferences(value as CollectionDocument, report);
  }
  return { document: problems.every(isNotice) ? (value as CollectionDocument) : null, problems };
}

const isNotice = (problem: Problem) => problem.severity === 'notice';

function sameId(value: unknown, key: string, path: string, report: Report) {
  if (!isObject(value) || value.id === key) return;
  report({
    path: `${path}/id`,
    severity: 'error',
    message: `It is stored under “${key}”, so its id is “${key}” too; here it is ${shown(value.id)}.`,
  });
}

/** What only shows across the parts: order against tiles, bands from wide to narrow, pictures used. */
function checkReferences(document: CollectionDocument, report: Report) {
  const error = (path: string, message: string) => report({ path, severity: 'error', message });
  const seen = new Set<string>();
  const checkOrder = (order: readonly string[], at: string, depth: number) =>
    order.forEach((tileId, k) => {
      const path = `${at}/${k}`;
      const inside = Object.hasOwn(document.tiles, tileId) ? document.tiles[tileId] : undefined;
      if (!inside) error(path, `There is no tile “${tileId}”. Remove it from the order, or add the tile.`);
      else if (seen.has(tileId)) error(path, `“${tileId}” comes twice. Keep one.`);
      seen.add(tileId);
      if (inside?.kind !== 'group') return;
      if (depth === LIMITS.depth) error(path, `Groups lie at most ${LIMITS.depth} deep. Take one apart.`);
      else checkOrder(inside.order, `/tiles/${tileId}/order`, depth + 1);
    });
  checkOrder(document.order, '/order', 0);
  for (const tileId of Object.keys(document.tiles)) {
    if (!seen.has(tileId))
      error(`/tiles/${tileId}`, `“${tileId}” has no place in the reading order. Add it to “order”.`);
    const { [tileId]: tile } = document.tiles;
    if (
      tile?.kind === 'picture' &&
      tile.picture !== null &&
      !Object.hasOwn(document.pictures, tile.picture)
    ) {
      error(
        `/tiles/${tileId}/picture`,
        `There is no picture “${tile.picture}” in the collection. Add it to “pictures”, or write null.`,
      );
    }
  }
  const bandIds = new Set<string>();
  document.bands.forEach((each, k) => {
    const wider = document.bands[k - 1]?.below ?? Infinity;
    if (each.below >= wider)
      error(
        `/bands/${k}/below`,
        `Bands come from wide to narrow: this breakpoint is below ${wider}; here it is ${each.below}.`,
      );
    if (bandIds.has(each.id))
      error(`/bands/${k}/id`, `Two bands have the id “${each.id}”. Give this one another.`);
    bandIds.add(each.id);
    for (const tileId of Object.keys(each.tiles)) {
      if (!Object.hasOwn(document.tiles, tileId))
        error(
          `/bands/${k}/tiles/${tileId}`,
          `There is no tile “${tileId}”. Remove this place, or add the tile.`,
        );
    }
    for (const tileId of Object.keys(each.groups ?? {})) {
      if (!Object.hasOwn(document.tiles, tileId) || document.tiles[tileId]?.kind !== 'group')
        error(
          `/bands/${k}/groups/${tileId}`,
          `There is no group “${tileId}”. Remove this, or add the group.`,
        );
    }
  });
}
