import sharp, { type Sharp } from 'sharp';

/** What a picture looks like at a glance. */
export interface Glance {
  /** Mean, darkest and lightest; none where nothing of it is to be seen. */
  readonly colours: string[];
  /** Its colours in a few px, as a collection keeps them; null for what lets through what is behind. */
  readonly raster: string | null;
  /** A few px as a `data:` address; null for what lets through what is behind. */
  readonly placeholder: string | null;
}

interface Size {
  readonly inlineSize: number;
  readonly blockSize: number;
}

const GLANCE = 32;
/** Px of a raster along its longer side. */
const RASTER = 24;
const hex = (rgb: readonly number[]) =>
  `#${rgb.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;

/** Decodes the whole picture into a few px: its colours, and what shows until it has come. */
export async function glance(picture: Sharp, { inlineSize, blockSize }: Size): Promise<Glance> {
  const { data } = await picture
    .resize(GLANCE, GLANCE, { fit: 'fill' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const all = Array.from({ length: GLANCE * GLANCE }, (_, k) => [...data.subarray(k * 4, k * 4 + 4)]);
  const seen = all.filter(([, , , alpha = 0]) => alpha > 127);
  if (seen.length === 0) return { colours: [], raster: null, placeholder: null };
  const light = ([r = 0, g = 0, b = 0]: readonly number[]) => 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const sorted = seen.toSorted((a, b) => light(a) - light(b));
  const at = (share: number) => (sorted[Math.floor((sorted.length - 1) * share)] ?? []).slice(0, 3);
  const mean = [0, 1, 2].map(
    (channel) => seen.reduce((sum, px) => sum + (px[channel] ?? 0), 0) / seen.length,
  );
  const isOpaque = all.every(([, , , alpha]) => alpha === 255);
  const small = isOpaque
    ? await sharp(data, { raw: { width: GLANCE, height: GLANCE, channels: 4 } })
        .removeAlpha()
        .resize(16, 16)
        .webp({ quality: 30 })
        .toBuffer()
    : null;
  return {
    raster: isOpaque ? await rasterOf(data, inlineSize / blockSize) : null,
    colours: [mean, at(0.04), at(0.96)].map(hex),
    placeholder: small && `data:image/webp;base64,${small.toString('base64')}`,
  };
}

/** What words on the picture are told by. */
async function rasterOf(data: Buffer, aspect: number): Promise<string> {
  const columns = Math.max(1, Math.round(aspect >= 1 ? RASTER : RASTER * aspect));
  const rows = Math.max(1, Math.round(aspect >= 1 ? RASTER / aspect : RASTER));
  const bytes = await sharp(data, { raw: { width: GLANCE, height: GLANCE, channels: 4 } })
    .removeAlpha()
    .resize(columns, rows, { fit: 'fill' })
    .raw()
    .toBuffer();
  return `${columns}x${rows}:${bytes.toString('base64')}`;
}
