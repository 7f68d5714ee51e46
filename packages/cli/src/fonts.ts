import {
  FAMILIES,
  familiesOf,
  shippedFamily,
  type CollectionDocument,
  type FamilyName,
  type Font,
  type TextMeasurer,
} from '@noria/core';
import * as fontkit from 'fontkit';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { CliError } from './CliError.js';
import { unpacked } from './unpacked.js';

const { resolve: resolvePackage } = createRequire(import.meta.url);

/** A file of a family: a character is looked for in each, in their order. */
interface Face {
  readonly font: fontkit.Font;
  readonly isItalic: boolean;
  /** The weights that it is for. */
  readonly weight: readonly [from: number, to: number];
}

/** The folder of the files that ship of a family. */
export const shippedFolder = (family: FamilyName): string => {
  const shipped = shippedFamily(family);
  if (!shipped) throw new CliError(`The family “${family}” does not ship with Noria.`);
  return join(dirname(resolvePackage(`${shipped.package}/package.json`)), 'files');
};

async function readFace(path: string): Promise<fontkit.Font> {
  const bytes = await readFile(path);
  // fontkit can't vary a compressed font, so it gets the plain one.
  const isCompressed = bytes.toString('latin1', 0, 4) === 'wOF2';
  const font = fontkit.create(isCompressed ? await unpacked(bytes) : bytes);
  if (!('numGlyphs' in font)) throw new CliError(`${path} holds several fonts. Save them one by one.`);
  return font;
}

const shippedFaces = new Map<FamilyName, Promise<Face[]>>();

function facesOfShipped(family: FamilyName): Promise<Face[]> {
  let found = shippedFaces.get(family);
  if (!found) {
    const files = shippedFamily(family)?.files ?? [];
    found = Promise.all(
      files.map(async ({ file, style }) => ({
        font: await readFace(join(shippedFolder(family), file)),
        isItalic: style === 'italic',
        weight: [1, 1000] as const,
      })),
    );
    shippedFaces.set(family, found);
  }
  return found;
}

/** The files of a family that a collection brings; they lie in a folder “fonts” beside it. */
const facesBeside = (
  { families }: Pick<CollectionDocument, 'families'>,
  family: FamilyName,
  folder: string,
): Promise<Face[]> =>
  Promise.all(
    (families?.[family]?.faces ?? []).map(async ({ file, style, weight }) => {
      const path = join(folder, 'fonts', file);
      const font = await readFace(path).catch((error: unknown) => {
        if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error;
        throw new CliError(`There is no font ${path}. Fonts lie in a folder “fonts” beside the collection.`);
      });
      return { font, isItalic: style === 'italic', weight };
    }),
  );

/** In place of a family that is not there, as one of the device. */
const FALLBACK = 'Hanken Grotesk';

/** Measures the words of a collection in the fonts that ship with Noria, and those in the folder beside it. */
export async function fontsFor(document: CollectionDocument, folder: string): Promise<TextMeasurer> {
  const faces = new Map<FamilyName, Face[]>();
  for (const family of new Set([FALLBACK, ...familiesOf(document)]))
    faces.set(
      family,
      shippedFamily(family) ? await facesOfShipped(family) : await facesBeside(document, family, folder),
    );
  return measurerOf(faces);
}

/** A measurer that reads all fonts which ship with Noria; other families are measured in one of these. */
export async function fontMeasurer(): Promise<TextMeasurer> {
  const faces = new Map<FamilyName, Face[]>();
  for (const family of Object.keys(FAMILIES)) faces.set(family, await facesOfShipped(family));
  return measurerOf(faces);
}

function measurerOf(all: ReadonlyMap<FamilyName, readonly Face[]>): TextMeasurer {
  const byName = new Map([...all].map(([name, faces]) => [name.toLowerCase(), faces]));
  const varied = new Map<fontkit.Font, Map<string, fontkit.Font>>();
  const widths = new Map<string, number>();

  const facesFor = ({ families, italic, weight }: Font): readonly fontkit.Font[] => {
    const found =
      families
        .map((family) => byName.get(family.toLowerCase().replace(/ variable$/, '')) ?? [])
        .find(({ length }) => length > 0) ??
      byName.get(FALLBACK.toLowerCase()) ??
      [];
    const styled = found.filter(({ isItalic }) => isItalic === italic);
    return nearest(styled.length > 0 ? styled : found, weight).map(({ font }) => font);
  };
  const asSet = (file: fontkit.Font, { weight, size, axes }: Font): fontkit.Font => {
    const settings = settingsOf(file, weight, size, axes);
    const key = JSON.stringify(settings);
    let known = varied.get(file);
    if (!known) varied.set(file, (known = new Map<string, fontkit.Font>()));
    let font = known.get(key);
    if (!font) known.set(key, (font = key === '{}' ? file : file.getVariation(settings)));
    return font;
  };
  const measure = (text: string, font: Font): number => {
    const features = font.features.match(/\w{4}/g) ?? [];
    const on = font.features === 'normal' ? {} : Object.fromEntries(features.map((tag) => [tag, true]));
    let width = 0;
    for (const { file, part } of splitByFile(text, facesFor(font))) {
      const set = asSet(file, font);
      width += (set.layout(part, on).advanceWidth / set.unitsPerEm) * font.size;
    }
    return width;
  };
  return {
    width: (text, font) => {
      const { families, weight, size, italic, features, axes } = font;
      const key = `${families[0] ?? ''}|${weight}|${size}|${italic}|${features}|${axes}|${text}`;
      let width = widths.get(key);
      if (width === undefined) {
        if (widths.size > 100_000) widths.clear();
        widths.set(key, (width = measure(text, font)));
      }
      return width;
    },
    metrics: (font) => {
      const [file] = facesFor(font);
      if (!file) return { ascent: font.size * 0.8, descent: font.size * 0.2, lineGap: 0 };
      const scale = font.size / file.unitsPerEm;
      return { ascent: file.ascent * scale, descent: -file.descent * scale, lineGap: file.lineGap * scale };
    },
  };
}

/** The faces of the weight that is nearest to one asked for: lighter ones first below 500, heavier ones above (CSS Fonts 4, section 5.2). */
function nearest(faces: readonly Face[], weight: number): readonly Face[] {
  const distance = ({ weight: [from, to] }: Face) => {
    if (weight >= from && weight <= to) return 0;
    const away = weight < from ? from - weight : weight - to;
    const isFirst = weight > 500 ? weight < from : weight > to;
    return isFirst ? away : 1000 + away;
  };
  const least = Math.min(...faces.map(distance));
  return faces.filter((face) => distance(face) === least);
}

/** The axes of a file as they are set; optical size goes by the size unless it is set. */
function settingsOf(
  { variationAxes }: fontkit.Font,
  weight: number,
  size: number,
  axes: string,
): Record<string, number> {
  const set = Object.fromEntries(
    [...axes.matchAll(/"(\w{4})" (-?[\d.]+)/g)].map(([, tag = '', value]) => [tag, Number(value)]),
  );
  const asked: Record<string, number> = { wght: weight, opsz: size, ...set };
  return Object.fromEntries(
    Object.entries(variationAxes).flatMap(([tag, axis]) => {
      const value = asked[tag];
      return axis && value !== undefined ? [[tag, Math.min(axis.max, Math.max(axis.min, value))]] : [];
    }),
  );
}

/** Stretches of a text by the first file that has their characters. */
function splitByFile(text: string, files: readonly fontkit.Font[]): { file: fontkit.Font; part: string }[] {
  const parts: { file: fontkit.Font; part: string }[] = [];
  const [first] = files;
  if (!first) return parts;
  for (const character of text) {
    const point = character.codePointAt(0) ?? 0;
    const last = parts.at(-1);
    const file = files.find((each) => each.hasGlyphForCodePoint(point)) ?? last?.file ?? first;
    if (last?.file === file) last.part += character;
    else parts.push({ file, part: character });
  }
  return parts;
}
