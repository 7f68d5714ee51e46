import {
  checkDocument,
  formatProblem,
  layoutCollection,
  readCollection,
  readDataAddress,
  resolved,
  type CollectionDocument,
  type FoundGrid,
  type PictureFile,
  type PictureReader,
  type Report,
  type TextMeasurer,
} from '@noria/core';
import { isZip } from '../../editor/pictures/unpack';
import { PICTURES, unpackArchive, type PathedFile } from '../../editor/pictures/unpackArchive';

/** A tile of a thumbnail, shares of the grid. */
export type Cell = readonly [x: number, y: number, inlineSize: number, blockSize: number];

/** A grid of a page, read. */
export interface ReadGrid extends FoundGrid {
  readonly document: CollectionDocument;
  readonly reports: readonly Report[];
  /** Where in the page the tag of each tile begins, in characters. */
  readonly starts: Readonly<Record<string, number>>;
  readonly cells: readonly Cell[];
  /** How many grids it is: all of the page, one below the other, as groups. */
  readonly grids: number;
}

/** A page with its grids, as many as are read. */
export interface OpenedPage {
  readonly kind: 'page';
  readonly name: string;
  readonly bytes: number;
  readonly html: string;
  readonly grids: readonly ReadGrid[];
  /** How many grids there are in all. */
  readonly count: number;
  /** The style sheets that it links to, by their addresses. */
  readonly sheets: Readonly<Record<string, string>>;
  /** The pictures, films and fonts that it refers to, by the addresses that it has for them. */
  readonly beside: Readonly<Record<string, File>>;
  /** Pictures by the hash of their bytes. */
  readonly byHash: Readonly<Record<string, File>>;
}

/** A collection in Noria’s own format, and the pictures beside it by the names that it knows them by. */
export interface OpenedCollection {
  readonly kind: 'collection';
  readonly document: CollectionDocument;
  readonly pictures: Readonly<Record<string, File>>;
}

export type Opened = OpenedPage | OpenedCollection;

/** What a page may consist of. */
const TYPES: Readonly<Record<string, string>> = {
  html: 'text/html',
  htm: 'text/html',
  css: 'text/css',
  json: 'application/json',
  ...PICTURES.types,
  mp4: 'video/mp4',
  webm: 'video/webm',
  woff2: 'font/woff2',
  ttf: 'font/ttf',
  otf: 'font/otf',
};
const NO_PAGE = 'There is no page in it: no file that ends with .html or .noria.json.';
const MB = 1024 * 1024;
/** A page, or one of its style sheets, is no larger. */
const MOST_TEXT_BYTES = 8 * MB;
const MOST_PICTURE_BYTES = 40 * MB;
/** So many files are looked at. */
const MOST_FILES = 4000;
/** So many grids of a page are read at most. */
const MOST_GRIDS = 12;
/** The width of the page that thumbnails are drawn at, px. */
const DRAWN_AT = 1280;

/** As long as words are about: a thumbnail shows where tiles are. */
const ROUGHLY: TextMeasurer = {
  width: (text, { size }) => text.length * size * 0.5,
  metrics: ({ size }) => ({ ascent: size * 0.9, descent: size * 0.25, lineGap: 0 }),
};

/** Says what is done now, and how much of it is done, 0 to 1. */
export type Tell = (what: string, share: number) => void;

/**
 * Reads files that were chosen, dropped or pasted: a page with what it needs, or a collection.
 * @throws Error that says what to do where there is neither, or where it can't be read
 */
export async function readFiles(given: readonly PathedFile[], tell: Tell): Promise<Opened> {
  if (given.length > MOST_FILES)
    throw new Error(`More than ${MOST_FILES} files can’t be read at once. Choose fewer.`);
  const files = (await Promise.all(given.map((each) => unpacked(each, tell)))).flat();
  const collection = files.find(({ path }) => /\.noria\.json$/i.test(path));
  const page = pageAmong(files);
  if (collection && !page) return readNoria(collection, files);
  if (!page)
    throw new Error('There is no page among these files: none ends with .html, .htm or .noria.json.');
  return readHtml(page, files, tell);
}

async function unpacked(each: PathedFile, tell: Tell): Promise<readonly PathedFile[]> {
  if (!isZip(each.file)) return [each];
  tell(`Unpacking ${each.file.name}`, 0);
  try {
    return await unpackArchive(each.file, { types: TYPES, none: NO_PAGE });
  } catch (error) {
    throw new Error(`${each.file.name}: ${error instanceof Error ? error.message : String(error)}`, {
      cause: error,
    });
  }
}

/** The page that is meant where there are several: the one called index, nearest to the top. */
function pageAmong(files: readonly PathedFile[]): PathedFile | null {
  const pages = files.filter(({ path }) => /\.html?$/i.test(path));
  const depth = ({ path }: PathedFile) =>
    path.split('/').length - (/(^|\/)index\.html?$/i.test(path) ? 0.5 : 0);
  return pages.toSorted((a, b) => depth(a) - depth(b))[0] ?? null;
}

async function textOf({ path, file }: PathedFile): Promise<string> {
  if (file.size > MOST_TEXT_BYTES)
    throw new Error(`${path} has more than ${MOST_TEXT_BYTES / MB} MB. Take a part of it.`);
  return file.text();
}

/** Where the files that a page refers to are: from its folder, or by their name alone where only one is called so. */
function finder({ path: page }: PathedFile, files: readonly PathedFile[]): (address: string) => File | null {
  const folder = page.slice(0, page.lastIndexOf('/') + 1);
  const byPath = new Map(files.map(({ path, file }) => [path, file]));
  const byName = new Map<string, File | null>();
  for (const { file } of files) byName.set(file.name, byName.has(file.name) ? null : file);
  const written = new Map<string, File | null>();
  return (address) => {
    if (/^data:/i.test(address)) {
      const known = written.get(address);
      if (known !== undefined) return known;
      const file = fileIn(address);
      written.set(address, file);
      return file;
    }
    if (/^([a-z][a-z\d+.-]*:|\/\/)/i.test(address)) return null;
    const plain = decoded(address.replace(/[?#].*$/, ''));
    const whole = joined(plain.startsWith('/') ? '' : folder, plain);
    return byPath.get(whole) ?? byName.get(whole.split('/').at(-1) ?? '') ?? null;
  };
}

/** The picture that is written into an address; null where there is none. */
function fileIn(address: string): File | null {
  const { mediaType = '', isBase64, data = '' } = readDataAddress(address) ?? {};
  const ending = Object.entries(TYPES).find(([, type]) => type === mediaType)?.[0];
  if (ending === undefined || !mediaType.startsWith('image/')) return null;
  try {
    const bytes = isBase64
      ? Uint8Array.from(atob(data.replace(/\s+/g, '')), (letter) => letter.charCodeAt(0))
      : new TextEncoder().encode(decodeURIComponent(data));
    return new File([bytes], `picture.${ending}`, { type: mediaType });
  } catch {
    return null;
  }
}

function decoded(address: string): string {
  try {
    return decodeURIComponent(address);
  } catch {
    return address;
  }
}

function joined(folder: string, address: string): string {
  const steps: string[] = [];
  for (const step of `${folder}${address}`.split('/'))
    if (step === '..') steps.pop();
    else if (step !== '.' && step !== '') steps.push(step);
  return steps.join('/');
}

async function readHtml(page: PathedFile, files: readonly PathedFile[], tell: Tell): Promise<OpenedPage> {
  const html = await textOf(page);
  const find = finder(page, files);
  const name = page.file.name.replace(/\.html?$/i, '');
  tell(`Reading ${page.file.name}`, 0);
  const sheetTexts = new Map<File, string>();
  for (const each of files) if (/\.css$/i.test(each.path)) sheetTexts.set(each.file, await textOf(each));
  const sheets: Record<string, string> = {};
  const readSheet = (address: string) => {
    const file = find(address);
    const text = file === null ? undefined : sheetTexts.get(file);
    if (text !== undefined) sheets[address] = text;
    return text ?? null;
  };
  const asked = new Set<string>();
  const first = readCollection(html, name, {
    readSheet,
    readPicture: (address) => {
      asked.add(address);
      return null;
    },
  });
  if (!first.document)
    throw new Error(`There is no grid in ${page.file.name}: no element with “display: grid”.`);
  const byHash: Record<string, File> = {};
  const known = new Map<string, PictureFile>();
  const taken = new Set<string>();
  const read = async (address: string) => {
    if (known.has(address)) return;
    const file = find(address);
    const picture = file && (await readPicture(file, taken).catch(() => null));
    if (!file || !picture) return;
    byHash[picture.hash] = file;
    known.set(address, picture);
  };
  const readGrid = async (which: readonly number[]): Promise<ReadGrid | null> => {
    const options = { readSheet, grid: which };
    readCollection(html, name, {
      ...options,
      readPicture: (address) => {
        asked.add(address);
        return null;
      },
    });
    for (const address of asked) await read(address);
    asked.clear();
    const reader: PictureReader = (address) => known.get(address) ?? null;
    const made = readCollection(html, name, { ...options, readPicture: reader });
    const grid = made.found[which[0] ?? 0];
    const { document, reports, starts } = made;
    return document && grid
      ? { ...grid, document, reports, starts, cells: cellsOf(document), grids: which.length }
      : null;
  };
  const grids: ReadGrid[] = [];
  const some = first.found.slice(0, MOST_GRIDS);
  const outer = some.flatMap(({ isInner }, k) => (isInner ? [] : [k]));
  const wanted = [...some.map((_, k) => [k]), ...(outer.length > 1 ? [outer] : [])];
  for (const [k, which] of wanted.entries()) {
    tell(`Reading ${page.file.name}`, k / wanted.length);
    const grid = await readGrid(which);
    if (grid) grids.push(grid);
  }
  return {
    kind: 'page',
    name,
    bytes: page.file.size,
    html,
    grids,
    count: first.found.length,
    sheets,
    beside: besideOf(html, sheets, find),
    byHash,
  };
}

/** What a page and its sheets may show: whatever of it there is a file for. */
function besideOf(html: string, sheets: OpenedPage['sheets'], find: (address: string) => File | null) {
  const found: Record<string, File> = {};
  const take = (address: string) => {
    const file = find(address);
    if (file && SHOWN.test(file.type || TYPES[endingOf(file.name)] || '')) found[address] = file;
  };
  for (const [address, css] of [['', html] as const, ...Object.entries(sheets)])
    for (const [, , url = ''] of css.matchAll(ADDRESS)) take(resolved(url, address));
  for (const [, , , value = ''] of html.matchAll(ATTRIBUTE))
    for (const each of value.split(/[\s,]+/)) take(each);
  return found;
}

/** In CSS. */
export const ADDRESS = /url\(\s*(["']?)([^"')]+)\1\s*\)/gi;
const ATTRIBUTE = /\s(src|srcset|poster)\s*=\s*(["'])(.*?)\2/gi;
const SHOWN = /^(image|video|font)\//;
const endingOf = (name: string) => /\.([a-z\d]+)$/i.exec(name)?.[1]?.toLowerCase() ?? '';

/** Where the tiles of a collection lie, in shares of it. */
function cellsOf(document: CollectionDocument): Cell[] {
  const { inlineSize, blockSize, tiles } = layoutCollection(document, DRAWN_AT, { measurer: ROUGHLY });
  const left = Math.min(...tiles.map(({ x }) => x), 0);
  const high = Math.max(1, blockSize);
  return tiles.map((at) => [
    (at.x - left) / inlineSize,
    at.y / high,
    at.inlineSize / inlineSize,
    at.blockSize / high,
  ]);
}

const hex = (bytes: ArrayBuffer) =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');

const PICTURE_TYPES = [
  'image/jpeg',
  'image/png',
  'image/webp',
  'image/avif',
  'image/gif',
  'image/svg+xml',
] as const;

async function readPicture(file: File, taken: Set<string>): Promise<PictureFile | null> {
  const ending = endingOf(file.name);
  const mediaType = PICTURE_TYPES.find((type) => type === (file.type || TYPES[ending]));
  if (!mediaType || file.size > MOST_PICTURE_BYTES) return null;
  const size = mediaType === 'image/svg+xml' ? drawingSize(await file.text()) : await bitmapSize(file);
  if (!size) return null;
  const hash = hex(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()));
  return { file: fileName(file.name, mediaType, taken), hash, mediaType, ...size };
}

/** What a picture is called in a collection: as no other one in it. */
function fileName(name: string, mediaType: string, taken: Set<string>): string {
  const kind = /\/(\w+)/.exec(mediaType)?.[1] ?? '';
  const stem =
    name
      .replace(/\.[^.]*$/, '')
      .toLowerCase()
      .replace(/[^a-z0-9._-]+/g, '-')
      .replace(/^[^a-z0-9]+/, '')
      .slice(0, 60) || 'picture';
  let own = `${stem}.${kind}`;
  for (let count = 2; taken.has(own); count++) own = `${stem}-${count}.${kind}`;
  taken.add(own);
  return own;
}

async function bitmapSize(file: File): Promise<Pick<PictureFile, 'inlineSize' | 'blockSize'>> {
  const bitmap = await createImageBitmap(file);
  const { width, height } = bitmap;
  bitmap.close();
  return { inlineSize: width, blockSize: height };
}

/** The size of a drawing: what it says, or that of its view box (SVG 2, section 8.2). */
function drawingSize(text: string): Pick<PictureFile, 'inlineSize' | 'blockSize'> | null {
  const tag = /<svg\b[^>]*>/i.exec(text)?.[0];
  if (tag === undefined) return null;
  const of = (name: string) =>
    Number.parseFloat(new RegExp(`\\s${name}\\s*=\\s*["']([^"'%]+)["']`).exec(tag)?.[1] ?? '');
  const box = (/\sviewBox\s*=\s*["']([^"']+)["']/.exec(tag)?.[1] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [inlineSize, blockSize] = [of('width') || (box[2] ?? 0), of('height') || (box[3] ?? 0)];
  return inlineSize >= 1 && blockSize >= 1
    ? { inlineSize: Math.round(inlineSize), blockSize: Math.round(blockSize) }
    : { inlineSize: 300, blockSize: 150 };
}

async function readNoria(own: PathedFile, files: readonly PathedFile[]): Promise<OpenedCollection> {
  let value: unknown;
  try {
    value = JSON.parse(await textOf(own));
  } catch (error) {
    throw new Error(
      `${own.file.name} is no JSON: ${error instanceof Error ? error.message : String(error)}`,
      { cause: error },
    );
  }
  const { document, problems } = checkDocument(value);
  if (!document) throw new Error(`${own.file.name}: ${problems.slice(0, 3).map(formatProblem).join(' ')}`);
  return {
    kind: 'collection',
    document,
    pictures: Object.fromEntries(
      files.filter(({ file }) => file.type.startsWith('image/')).map(({ file }) => [file.name, file]),
    ),
  };
}
