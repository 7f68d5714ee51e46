import { isObject } from '../../document/checks.js';
import { numbered } from '../entryIds.js';

type Fields = Readonly<Record<string, unknown>>;

/** A value with every field that a table names changed by it, where the value has that field. */
function changed(value: unknown, table: Readonly<Record<string, (value: unknown) => unknown>>): unknown {
  if (!isObject(value)) return value;
  const made: Record<string, unknown> = {};
  for (const [field, own] of Object.entries(value))
    put(made, field, Object.hasOwn(table, field) ? table[field]?.(own) : own);
  return made;
}

/** Sets a field of any name, `__proto__` too. */
const put = (on: Record<string, unknown>, field: string, value: unknown): void =>
  void Object.defineProperty(on, field, { value, writable: true, enumerable: true, configurable: true });

/** A value with fields called otherwise, in their places. One that is there under both names stays. */
function renamed(value: unknown, names: Readonly<Record<string, string>>): unknown {
  if (!isObject(value)) return value;
  const made: Record<string, unknown> = {};
  for (const [field, own] of Object.entries(value)) {
    const name = Object.hasOwn(names, field) ? (names[field] as string) : field;
    put(made, Object.hasOwn(value, name) ? field : name, own);
  }
  return made;
}

const each =
  (change: (value: unknown) => unknown) =>
  (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(change);
    if (!isObject(value)) return value;
    const made: Record<string, unknown> = {};
    for (const [key, own] of Object.entries(value)) put(made, key, change(own));
    return made;
  };

/** A value that is one of a table becomes what the table says. */
const oneFor =
  (table: Readonly<Record<string, string>>) =>
  (value: unknown): unknown =>
    typeof value === 'string' && Object.hasOwn(table, value) ? table[value] : value;

const lie = oneFor({ centre: 'center', fill: 'stretch' });
const lies = { inline: lie, block: lie };

const COUNT = { minimum: 'min', most: 'max' };
const arrangement = (value: unknown): unknown => renamed(inner(value), { gallery: 'rowHeights' });
const inner = (value: unknown): unknown =>
  changed(value, {
    fluid: (own) => renamed(own, COUNT),
    masonry: (own) => changed(renamed(own, COUNT), { order: oneFor({ kept: 'in-turn' }) }),
    gallery: (own) =>
      changed(renamed(own, { least: 'min', most: 'max' }), {
        lastRow: oneFor({ justified: 'fill-width', 'at-most-target': 'keep-height' }),
      }),
    mosaic: (own) => renamed(own, { ...COUNT, mostCrop: 'maxCrop' }),
  });
const place = (value: unknown): unknown => changed(value, { fit: (fit) => changed(fit, lies) });

const opacity = (value: unknown): unknown => renamed(value, { strength: 'opacity' });
const paint = (value: unknown): unknown => changed(value, { stops: each(opacity), tint: opacity });
const LOOK = {
  ink: 'textColour',
  outerShade: 'outerShadow',
  innerShade: 'innerShadow',
  textDirection: 'writingDirection',
  headingTracking: 'headingLetterSpacing',
  bodyTracking: 'bodyLetterSpacing',
};
const look = (value: unknown): unknown =>
  renamed(
    changed(value, {
      fill: paint,
      border: (border) => changed(border, { paint }),
      outerShade: opacity,
      innerShade: opacity,
      spread: lie,
      align: lie,
      direction: oneFor({ down: 'column', along: 'row' }),
      textDirection: oneFor({ inline: 'horizontal', block: 'vertical' }),
    }),
    LOOK,
  );
const motion = (value: unknown): unknown =>
  renamed(changed(value, { points: oneFor({ near: 'zoom' }) }), { opens: 'entrance', points: 'hover' });
const badge = (value: unknown): unknown => renamed(changed(value, lies), { ink: 'textColour' });
const use = (value: unknown): unknown => renamed(value, { part: 'tile' });

/** What the fields of each kind of tile became: the part, its field, and the fields that a part may lack. */
type Parts = Readonly<Record<string, Readonly<Record<string, string>>>>;
const PARTS: Readonly<Record<string, Parts>> = {
  text: {
    eyebrow: { eyebrow: 'words' },
    heading: { heading: 'words', headingLevel: 'level' },
    text: { body: 'words' },
  },
  stat: { figure: { figure: 'words' }, label: { label: 'words' } },
  quote: { quote: { words: 'words' }, source: { source: 'words' } },
  marks: { icons: { marks: 'icons', markSize: 'size', showLabels: 'showLabels' } },
  action: { action: { label: 'words', address: 'address' } },
  picture: {
    picture: {
      picture: 'picture',
      focalPoint: 'focalPoint',
      caption: 'caption',
      shows: 'fit',
      zoom: 'zoom',
      position: 'position',
      tint: 'tint',
      enlarges: 'enlarges',
    },
  },
  film: {
    film: {
      film: 'film',
      poster: 'poster',
      focalPoint: 'focalPoint',
      caption: 'caption',
      plays: 'playback',
    },
  },
};

/** What a field of a tile of that kind became; undefined: it stays in the tile. */
function partOf(kind: string, field: string): { readonly part: string; readonly field: string } | undefined {
  for (const [part, fields] of Object.entries(Object.hasOwn(PARTS, kind) ? (PARTS[kind] as Parts) : {})) {
    if (Object.hasOwn(fields, field)) return { part, field: fields[field] as string };
  }
  return undefined;
}

function tile(value: unknown): unknown {
  if (!isObject(value)) return value;
  const common = renamed(
    changed(value, {
      place,
      look,
      badges: each(badge),
      recipe: use,
      arrangement,
      motion,
      tint: opacity,
      plays: oneFor({ itself: 'automatic' }),
    }),
    { neverBelow: 'minimumWidth', withNext: 'keepWithNext' },
  ) as Fields;
  const kind = String(common.kind);
  if (!Object.hasOwn(PARTS, kind)) return common;
  const parts = Object.keys(PARTS[kind] as Parts).map((part) => ({ id: part, kind: part }));
  const made: Record<string, unknown> = {};
  for (const [field, own] of Object.entries(common)) {
    const to = partOf(kind, field);
    if (field === 'kind') put(made, field, 'card');
    else if (to) put(parts.find(({ id }) => id === to.part) as Record<string, unknown>, to.field, own);
    else put(made, field, own);
  }
  return { ...made, parts };
}

const band = (value: unknown): unknown =>
  changed(value, { arrangement, groups: each(arrangement), tiles: each(place), looks: each(look) });

function recipe(value: unknown): unknown {
  if (!isObject(value)) return value;
  const tiles = isObject(value.parts) ? value.parts : {};
  const slot = (own: unknown): unknown => {
    if (!isObject(own)) return own;
    const of = Object.hasOwn(tiles, String(own.part)) ? tiles[String(own.part)] : undefined;
    const to = partOf(isObject(of) ? String(of.kind) : '', String(own.field));
    const { part: inTile, field, ...rest } = own;
    return { ...rest, tile: inTile, part: to?.part ?? inTile, field: to?.field ?? field };
  };
  const variant = (own: unknown): unknown => changed(own, { looks: each(look) });
  const own = changed(value, { parts: each(tile), slots: each(slot), variants: each(variant) });
  return renamed(own, { parts: 'tiles' });
}

const table = (value: unknown): unknown => changed(value, { aside: each(each(tile)) });

/**
 * From version 1 to 2: what a tile holds became a list of parts, each kind of tile a card that begins
 * with some; `part` of a recipe became `tile`; fields and their values got the words that the screen has
 * for them, which are CSS’s where it has one. Fields
 * that are not known stay where they are, and what is not sound is left for the check to say.
 */
export const fromVersion1 = (document: Readonly<Record<string, unknown>>): Record<string, unknown> => ({
  ...(renamed(
    changed(document, {
      arrangement,
      bands: each(band),
      look: (own) => renamed(own, { ground: 'background' }),
      tiles: each(tile),
      recipes: each(recipe),
      tables: each(table),
    }),
    { accepted: 'ignored' },
  ) as Fields),
  formatVersion: 2,
});

/**
 * A document of version 1 in which every icon of a row has an id, as the last program of that version
 * read it: changes that were stored then are based on that.
 */
export function withMarkIds(document: unknown): unknown {
  const named = (value: unknown): unknown => {
    if (!isObject(value) || value.kind !== 'marks' || !Array.isArray(value.marks)) return value;
    const all = value.marks as readonly unknown[];
    const taken = new Set(all.map((mark) => (isObject(mark) ? mark.id : undefined)));
    const used = new Set<unknown>();
    const marks = all.map((mark) => {
      if (!isObject(mark)) return mark;
      let { id } = mark;
      if (typeof id !== 'string' || id === '' || used.has(id)) {
        id = numbered('icon', new Set([...taken, ...used] as string[]));
        taken.add(id);
      }
      used.add(id);
      return { ...mark, id };
    });
    return { ...value, marks };
  };
  return changed(document, {
    tiles: each(named),
    recipes: each((recipe) => changed(recipe, { parts: each(named) })),
    tables: each((own) => changed(own, { aside: each(each(named)) })),
  });
}
