/** Draws the demo's pictures into demo/pictures, as WebP. Run with `npm run demo:pictures`. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { PICTURES } from './pictures.mjs';

const folder = join(import.meta.dirname, '..', 'pictures');
await mkdir(folder, { recursive: true });
for (const { id, size, draw } of PICTURES) {
  const [width, height] = size;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${draw({ width, height })}</svg>`;
  const bytes = await sharp(Buffer.from(svg)).webp({ quality: 88 }).toBuffer();
  await writeFile(join(folder, `${id}.webp`), bytes);
  console.log(`${id}.webp ${Math.round(bytes.length / 1024)} kB`);
}
