/** Writes the demo's collections beside its pictures. Run with `npm run demo:pictures`, after the pictures and a build. */
import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { COLLECTIONS } from './collections.mjs';
import { COMPOSED } from './composed.mjs';
import { GALLERIES } from './galleries.mjs';
import {
  change,
  FORMAT_VERSION,
  makeRecipeOf,
  newCard,
  newGroup,
  picturesIn,
} from '../../packages/core/dist/index.js';
import sharp from 'sharp';
import { glance } from '../../packages/server/dist/pictures/glance.js';
import { PICTURES } from './pictures.mjs';

const demo = join(import.meta.dirname, '..');
const slug = (name) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

async function asset({ id, name, size, alternativeText }) {
  const file = `${id}.webp`;
  const hash = createHash('sha256')
    .update(await readFile(join(demo, 'pictures', file)))
    .digest('hex');
  const [inlineSize, blockSize] = size;
  return {
    id,
    name,
    file,
    hash,
    mediaType: 'image/webp',
    inlineSize,
    blockSize,
    alternativeText,
    // Its colours and placeholder, as the server reads them.
    ...(await glance(sharp(join(demo, 'pictures', file)), { inlineSize, blockSize })),
  };
}

/** The recipes that the demo's cards use; each looks as the first that uses it. */
const RECIPES = {
  note: {
    name: 'Note, washed',
    root: 'note',
    slots: [
      ['Eyebrow', 'eyebrow'],
      ['Heading', 'heading'],
      ['Text', 'text'],
    ],
  },
  figure: {
    name: 'Big figure',
    root: 'figure',
    slots: [
      ['Figure', 'figure'],
      ['Label', 'label'],
    ],
  },
};

/** What a card in another fill is called. */
const VARIANTS = { '{lake}': 'Lake', '{bread}': 'Bread', '#f6f1e9': 'Snow', '#e9dcc6': 'Wood' };

function recipesOf(tiles) {
  const used = Object.keys(RECIPES).filter((id) => tiles.some((tile) => tile.recipe?.recipe === id));
  if (used.length === 0) return {};
  const recipes = used.map((id) => {
    const { name, root, slots } = RECIPES[id];
    const first = { ...tiles.find((tile) => tile.recipe?.recipe === id) };
    delete first.recipe;
    const variants = tiles
      .filter((tile) => tile.recipe?.recipe === id && tile.look.fill !== first.look.fill)
      .map((tile) => ({
        id: slug(VARIANTS[tile.look.fill]),
        name: VARIANTS[tile.look.fill],
        looks: { [root]: { fill: tile.look.fill } },
      }));
    for (const tile of tiles) {
      if (tile.recipe?.recipe === id && tile.look.fill !== first.look.fill)
        tile.recipe.variant = slug(VARIANTS[tile.look.fill]);
    }
    return [
      id,
      {
        id,
        name,
        root,
        tiles: { [root]: { ...first, id: root } },
        slots: slots.map(([slot, part]) => ({ name: slot, tile: root, part, field: 'words' })),
        variants,
      },
    ];
  });
  return { recipes: Object.fromEntries(recipes) };
}

/** What the parts of a card hold: its words by the part, its picture, where it leads. */
function held({ picture, caption = '', action, address, ...words }) {
  if (picture !== undefined) {
    const { focalPoint } = PICTURES.find(({ id }) => id === picture);
    return { picture: { picture, focalPoint, caption } };
  }
  if (action !== undefined) return { action: { words: action, address } };
  return Object.fromEntries(Object.entries(words).map(([part, said]) => [part, { words: said }]));
}

/** A tile of the file with those in it, a group before what it holds. */
function written({
  name,
  kind,
  span = [1, 1],
  place = {},
  fill = '#e3e9e4',
  textColour = 'auto',
  spread = 'end',
  type = {},
  recipe,
  parts,
  tiles,
  arrangement,
  ...content
}) {
  const id = slug(name);
  const tile = {
    ...(tiles
      ? { ...newGroup(id), arrangement, order: tiles.map((each) => slug(each.name)) }
      : parts
        ? { id, kind: 'card', parts }
        : newCard(kind, id, held(content))),
    name,
    place: { columnSpan: span[0], rowSpan: span[1], pin: null, ...place },
    look: { fill, textColour, spread, ...type },
    ...(recipe && RECIPES[recipe] && { recipe: { recipe, variant: null, tile: RECIPES[recipe].root } }),
  };
  return [tile, ...(tiles ?? []).flatMap(written)];
}

/** A collection whose cards of a recipe make it: the first is what it looks like, the others are its variants. */
function withRecipe(document, tiles, { id, name, variants }) {
  const uses = tiles.filter((tile) => tile.recipe === id).map((tile) => slug(tile.name));
  const made = change(document, makeRecipeOf(uses, id, name, slug)).document;
  return JSON.parse(
    JSON.stringify(made, (_, value) =>
      value?.looks && value.name in variants ? { ...value, name: variants[value.name] } : value,
    ),
  );
}

for (const { name, tiles, look, namedLooks = {}, recipe, ...rest } of [
  ...COLLECTIONS,
  ...COMPOSED,
  ...GALLERIES,
]) {
  const all = tiles.flatMap(written);
  const shown = new Set(all.flatMap(picturesIn));
  const used = PICTURES.filter(({ id }) => shown.has(id));
  const document = {
    formatVersion: FORMAT_VERSION,
    name,
    language: 'en',
    ...rest,
    bands: rest.bands.map(({ spans = {}, places = {}, ...band }) => ({
      ...band,
      tiles: {
        ...Object.fromEntries(
          Object.entries(spans).map(([tileName, [columnSpan, rowSpan]]) => [
            slug(tileName),
            { columnSpan, rowSpan },
          ]),
        ),
        ...Object.fromEntries(Object.entries(places).map(([tileName, place]) => [slug(tileName), place])),
      },
    })),
    look,
    tiles: Object.fromEntries(all.map((tile) => [tile.id, tile])),
    order: tiles.map((tile) => slug(tile.name)),
    ...(Object.keys(namedLooks).length > 0 && {
      namedLooks: Object.fromEntries(Object.entries(namedLooks).map(([id, each]) => [id, { id, ...each }])),
    }),
    ...recipesOf(all),
    pictures: Object.fromEntries(
      await Promise.all(used.map(async (picture) => [picture.id, await asset(picture)])),
    ),
  };
  const whole = recipe ? withRecipe(document, tiles, recipe) : document;
  await writeFile(join(demo, `${slug(name)}.noria.json`), `${JSON.stringify(whole, null, 2)}\n`);
  console.log(`${slug(name)}.noria.json, ${all.length} tiles`);
}
