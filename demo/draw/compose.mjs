/** Writes the demo's collections beside its pictures. Run with `npm run demo:pictures`, after the pictures. */
import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { COLLECTIONS } from './collections.mjs';
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
  return { id, name, file, hash, mediaType: 'image/webp', inlineSize, blockSize, alternativeText };
}

for (const { name, tiles, look, ...rest } of COLLECTIONS) {
  const used = PICTURES.filter(({ id }) => tiles.some((tile) => tile.picture === id));
  const written = tiles.map(
    ({ name: tileName, span, fill = '#e3e9e4', ink = '#1d2b2a', spread = 'end', type = {}, ...content }) => {
      const focal = PICTURES.find(({ id }) => id === content.picture)?.focalPoint;
      return {
        id: slug(tileName),
        name: tileName,
        ...content,
        ...(focal && { focalPoint: focal, caption: content.caption ?? '' }),
        place: { columnSpan: span[0], rowSpan: span[1], pin: null },
        look: { fill, ink, spread, ...type },
      };
    },
  );
  const document = {
    formatVersion: 1,
    name,
    language: 'en',
    ...rest,
    bands: rest.bands.map(({ spans, ...band }) => ({
      ...band,
      tiles: Object.fromEntries(
        Object.entries(spans).map(([tileName, [columnSpan, rowSpan]]) => [
          slug(tileName),
          { columnSpan, rowSpan },
        ]),
      ),
    })),
    look,
    tiles: Object.fromEntries(written.map((tile) => [tile.id, tile])),
    order: written.map(({ id }) => id),
    pictures: Object.fromEntries(
      await Promise.all(used.map(async (picture) => [picture.id, await asset(picture)])),
    ),
  };
  await writeFile(join(demo, `${slug(name)}.noria.json`), `${JSON.stringify(document, null, 2)}\n`);
  console.log(`${slug(name)}.noria.json, ${written.length} tiles`);
}
