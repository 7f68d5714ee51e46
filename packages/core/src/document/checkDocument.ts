import { FAMILIES } from '../page/families.js';
import { parseTrackSize } from '../grid/tracks.js';
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

const track =
  (units: readonly string[]): Check =>
  (value, path, report) => {
    const read = typeof value === 'string' ? parseTrackSize(value) : null;
    if (read && units.includes(read.unit) && read.value <= LIMITS.track) return;
    const like = units.includes('fr') ? '“72px” or “1fr”' : '“132px”; a row takes px';
    report({
      path,
      severity: 'error',
      message: `A track size is written like ${like}; here it is ${shown(value)}.`,
    });
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

const placeFields = { columnSpan: span, rowSpan: span, pin };
const place = fields(placeFields, 'A place');
const ownPlace = fields(placeFields, 'A place', Object.keys(placeFields));

const side = number(0, LIMITS.padding, 'A padding');
const arrangementFields = {
  columns: list(track(['px', 'fr']), 1, LIMITS.columns, 'The list of columns'),
  rows: list(track(['px']), 0, LIMITS.rows, 'The list of rows'),
  autoRows: track(['px']),
  columnGap: number(0, LIMITS.gap, 'A gap'),
  rowGap: number(0, LIMITS.gap, 'A gap'),
  padding: fields({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side }, 'A padding'),
  flow: oneOf(['sparse', 'dense'], 'The flow'),
  maxInlineSize: orNull(number(LIMITS.narrowest, 10_000, 'A maximum width')),
};

const band = fields(
  {
    id,
    below: number(LIMITS.narrowest + 1, LIMITS.widest, 'A breakpoint'),
    arrangement: fields(arrangementFields, 'A band’s arrangement', Object.keys(arrangementFields)),
    tiles: record(() => ownPlace, LIMITS.tiles, 'A band’s list of places'),
  },
  'A band',
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
};

const tile =
  (key: string): Check =>
  (value, path, report) => {
    const kind = isObject(value) ? String(value.kind) : '';
    const content = Object.hasOwn(contents, kind) ? contents[kind] : undefined;
    if (isObject(value) && !content) {
      return oneOf(Object.keys(contents), 'A tile’s kind')(value.kind, `${path}/kind`, report);
    }
    const known = { id, name, kind: oneOf([kind], 'A tile’s kind'), place, look: tileLook, ...content };
    fields(known, kind ? `A ${kind} tile` : 'A tile')(value, path, report);
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
    arrangement: fields(
      { kind: oneOf(['bento'], 'The kind of arrangement'), ...arrangementFields },
      'The arrangement',
    ),
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
  document.order.forEach((tileId, k) => {
    if (!Object.hasOwn(document.tiles, tileId))
      error(`/order/${k}`, `There is no tile “${tileId}”. Remove it from the order, or add the tile.`);
    else if (seen.has(tileId)) error(`/order/${k}`, `“${tileId}” comes twice. Keep one.`);
    seen.add(tileId);
  });
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
  });
}
