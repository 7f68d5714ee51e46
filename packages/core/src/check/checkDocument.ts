import { ENTRY_FIELDS } from '../document/entries.js';
import { LIMITS } from '../document/limits.js';
import { numbered, withEntryIds } from './entryIds.js';
import { migrate } from './migrate.js';
import { address, colour, id, words } from '../look/checks.js';
import { bandLook, partOfLook, collectionLook, namedLook, style, tileLook } from './checkLook.js';
import { family, film, icon, picture } from './checkAssets.js';
import { forms, parts } from './checkParts.js';
import { arrangement, groupArrangement, ownArrangement, ownGroupArrangement } from './checkArrangement.js';
import { ownPlace, place } from './checkPlace.js';
import { checkReferences } from './checkReferences.js';
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
import { page } from './checkPage.js';
import type { Check, Reporter } from '../document/checks.js';
import { pointerSegment, type Problem } from '../document/problems.js';
import { FORMAT_VERSION, type CollectionDocument } from '../document/types.js';

export interface CheckedDocument {
  /** The document in the present format version, when no problem is an error. */
  readonly document: CollectionDocument | null;
  readonly problems: readonly Problem[];
}

const name = text(LIMITS.name, 'A name', 1);
const typeSize = number(LIMITS.typeSize.min, LIMITS.typeSize.max, 'A type size');
const typeSizes = fields({ headingSize: typeSize, bodySize: typeSize }, 'A band’s type sizes', [
  'headingSize',
  'bodySize',
]);

const breakpoint = number(LIMITS.narrowest + 1, LIMITS.widest, 'A breakpoint');
const band = fields(
  {
    id,
    below: breakpoint,
    arrangement: ownArrangement,
    tiles: record(() => ownPlace, LIMITS.tiles, 'A band’s list of places'),
    groups: record(() => ownGroupArrangement, LIMITS.tiles, 'A band’s list of groups'),
    typeSizes,
    looks: record(() => bandLook, LIMITS.tiles, 'A band’s list of looks'),
    derived: fields(
      {
        below: breakpoint,
        arrangement: ownArrangement,
        groups: record(() => ownGroupArrangement, LIMITS.tiles, 'A band’s list of derived groups'),
      },
      'What of a band is derived',
      ['below', 'groups'],
    ),
  },
  'A band',
  ['groups', 'typeSizes', 'looks', 'derived'],
);
const width = number(LIMITS.narrowest, LIMITS.widest, 'A width');
const unbroken = list(
  fields({ from: width, to: width }, 'A range of widths'),
  0,
  LIMITS.bands,
  'The list of widths without a breakpoint',
);

/** What is in a tile, by its kind. */
const contents: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  card: { parts },
  group: { arrangement: groupArrangement, order: list(id, 0, LIMITS.tiles, 'The reading order') },
};

const corner = oneOf(['start', 'center', 'end'], 'The corner of a badge');
const badge = fields(
  { id, words, inline: corner, block: corner, fill: colour, textColour: colour },
  'A badge',
  ['id'],
);
const motion = fields(
  {
    entrance: oneOf(['none', 'fade', 'rise', 'grow'], 'The entrance'),
    hover: oneOf(['none', 'lift', 'zoom'], 'The hover'),
  },
  'A motion',
);
const use = fields({ recipe: id, variant: orNull(id), tile: id }, 'The use of a recipe');
const weight = number(1, 5, 'A weight', true);
const badges = list(badge, 0, LIMITS.badges, 'The list of badges');

const OPTIONAL_IN_TILE = [
  'name',
  'badges',
  'weight',
  'link',
  'style',
  'recipe',
  'motion',
  'minimumWidth',
  'keepWithNext',
];
const minimumWidth = number(1, LIMITS.track, 'A minimum width');
const keepWithNext = oneOf([true], 'Keep with next');

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
      link: address,
      style: id,
      recipe: use,
      motion,
      minimumWidth,
      keepWithNext,
      ...content,
    };
    fields(known, kind ? `A ${kind}` : 'A tile', OPTIONAL_IN_TILE)(value, path, report);
    sameId(value, key, path, report);
  };

const recipe =
  (key: string): Check =>
  (value, path, report) => {
    const slot = fields(
      { name, tile: id, part: id, field: pattern(/^[a-z][a-zA-Z]{0,40}$/, 'A field', '“heading”') },
      'A slot',
    );
    const variant = fields(
      {
        id,
        name,
        looks: record(() => partOfLook, LIMITS.tiles, 'A variant’s looks'),
        forms: record(() => forms, LIMITS.tiles, 'A variant’s forms'),
      },
      'A variant',
      ['forms'],
    );
    fields(
      {
        id,
        name,
        root: id,
        tiles: record(tile, LIMITS.tiles, 'A recipe’s tiles'),
        slots: list(slot, 0, LIMITS.slots, 'The list of slots'),
        variants: list(variant, 0, LIMITS.variants, 'The list of variants'),
      },
      'A recipe',
    )(value, path, report);
    sameId(value, key, path, report);
  };

const cellFormat = pattern(
  /^(number|percent|date|date-long|day-month|currency-[A-Z]{3})$/,
  'A format of cells',
  '“number”, “date” or “currency-EUR”',
);
const cell = text(LIMITS.words, 'A cell of a table');
const looseTile: Check = (value, path, report) =>
  tile(isObject(value) ? String(value.id) : '')(value, path, report);
const table =
  (key: string): Check =>
  (value, path, report) => {
    fields(
      {
        id,
        name,
        recipe: id,
        columns: list(cell, 1, LIMITS.tableColumns, 'The list of columns'),
        key: cell,
        mapping: record(() => cell, LIMITS.slots, 'The mapping'),
        formats: record(() => cellFormat, LIMITS.tableColumns, 'The formats'),
        sort: orNull(fields({ column: cell, descending: oneOf([true, false], 'The direction') }, 'A sort')),
        filter: orNull(fields({ column: cell, words: cell }, 'A filter')),
        order: list(cell, 0, LIMITS.tiles, 'The order of rows'),
        rows: record(() => record(() => cell, LIMITS.tableColumns, 'A row'), LIMITS.tiles, 'The rows'),
        tiles: record(() => id, LIMITS.tiles, 'The tiles of a table'),
        aside: record(
          () => list(looseTile, 1, LIMITS.tiles, 'The tiles of a row'),
          LIMITS.tiles,
          'The tiles set aside',
        ),
      },
      'A table',
      ['formats'],
    )(value, path, report);
    sameId(value, key, path, report);
  };

const collection = fields(
  {
    formatVersion: oneOf([FORMAT_VERSION], 'The format version'),
    name,
    language: pattern(/^[a-z]{2,3}(-[a-z0-9]{2,8})*$/i, 'A language', '“en” or “pt-BR”'),
    arrangement,
    bands: list(band, 0, LIMITS.bands, 'The list of bands'),
    narrowerBands: oneOf(['derived'], 'How narrower bands come about'),
    unbroken,
    queries: oneOf(['container', 'media'], 'What queries ask about'),
    look: collectionLook,
    tiles: record(tile, LIMITS.tiles, 'The set of tiles'),
    order: list(id, 0, LIMITS.tiles, 'The reading order'),
    pictures: record(picture, LIMITS.tiles, 'The set of pictures'),
    films: record(film, LIMITS.tiles, 'The set of films'),
    icons: record(icon, LIMITS.tiles, 'The set of icons'),
    families: record(family, LIMITS.families, 'The set of type families'),
    namedLooks: record(namedLook, LIMITS.namedLooks, 'The set of named looks'),
    styles: record(style, LIMITS.styles, 'The set of styles'),
    recipes: record(recipe, LIMITS.recipes, 'The set of recipes'),
    tables: record(table, LIMITS.tables, 'The set of tables'),
    ignored: list(
      fields(
        { kind: text(40, 'The kind of a finding', 1), tiles: list(id, 0, LIMITS.tiles, 'Its tiles') },
        'An ignored finding',
      ),
      0,
      LIMITS.tiles,
      'The list of ignored findings',
    ),
    enlarges: oneOf(['all'], 'Enlarging pictures'),
    page,
  },
  'A collection',
  [
    'narrowerBands',
    'unbroken',
    'queries',
    'films',
    'icons',
    'families',
    'namedLooks',
    'styles',
    'recipes',
    'tables',
    'ignored',
    'enlarges',
    'page',
  ],
);

/**
 * Checks a document that came from outside: a file, a request, a store. An older format version is
 * brought up to the present one first. Fields that are not known are kept and reported as notices;
 * entries of lists get the ids that they lack.
 * @param before a sound document that this one was made from; what it shares with it is not looked at
 *   again, so that a small change of a large collection is quickly checked
 */
export function checkDocument(input: unknown, before?: CollectionDocument): CheckedDocument {
  const { value, problems: fromMigration } = migrate(input);
  const problems: Problem[] = [...fromMigration];
  const report: Reporter = Object.assign((problem: Problem) => void problems.push(problem), {
    sound: entriesOf(before),
  });
  if (problems.length === 0) {
    collection(value, '', report);
    if (problems.every(isNotice)) checkReferences(value as CollectionDocument, report, before);
  }
  const isSound = problems.every(isNotice);
  return {
    document: isSound ? withEntryIds(value as CollectionDocument, numbered, before) : null,
    problems,
  };
}

const isNotice = (problem: Problem) => problem.severity === 'notice';

/** The entries of a document that are checked each by itself, with their paths. */
function entriesOf(document: CollectionDocument | undefined): WeakMap<object, string> {
  const entries = new WeakMap<object, string>();
  for (const field of ENTRY_FIELDS) {
    for (const [key, entry] of Object.entries(document?.[field] ?? {}))
      entries.set(entry as object, `/${field}/${pointerSegment(key)}`);
  }
  return entries;
}
