import { FAMILIES, type FamilyName, type Font, type TextMeasurer } from '@noria/core';
import * as fontkit from 'fontkit';
import { readFile, readdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import wawoff2 from 'wawoff2';

const { resolve: resolvePackage } = createRequire(import.meta.url);

type FontFile = fontkit.Font;

/** The files of one family: a character is looked for in each, in this order. */
const SUBSETS = ['latin', 'latin-ext', 'cyrillic-ext', 'vietnamese'];

async function familyFiles(family: FamilyName): Promise<FontFile[]> {
  const folder = join(dirname(resolvePackage(`${FAMILIES[family].package}/package.json`)), 'files');
  const names = await readdir(folder);
  const files: FontFile[] = [];
  for (const subset of SUBSETS) {
    const name = names.find((each) => each.endsWith(`-${subset}-wght-normal.woff2`));
    if (!name) continue;
    // fontkit can't vary a compressed font, so it gets the plain one.
    const plain = Buffer.from(await wawoff2.decompress(await readFile(join(folder, name))));
    const font = fontkit.create(plain);
    if ('variationAxes' in font) files.push(font);
  }
  return files;
}

let shipped: Promise<TextMeasurer> | null = null;

/** The one measurer of this process. */
export const shippedFonts = (): Promise<TextMeasurer> => (shipped ??= fontMeasurer());

/** A measurer that reads the fonts which ship with Noria; other families are measured in the first of these. */
export async function fontMeasurer(): Promise<TextMeasurer> {
  const names = Object.keys(FAMILIES) as FamilyName[];
  const files = new Map<string, FontFile[]>();
  for (const name of names) files.set(name.toLowerCase(), await familyFiles(name));
  const fallback = files.get('hanken grotesk') ?? [...files.values()][0] ?? [];
  const varied = new Map<FontFile, Map<number, FontFile>>();
  const widths = new Map<string, number>();

  const filesOf = ({ families }: Font): FontFile[] => {
    for (const family of families) {
      const found = files.get(family.toLowerCase().replace(/ variable$/, ''));
      if (found) return found;
    }
    return fallback;
  };
  const atWeight = (file: FontFile, weight: number): FontFile => {
    let weights = varied.get(file);
    if (!weights) varied.set(file, (weights = new Map<number, FontFile>()));
    let font = weights.get(weight);
    if (!font) {
      const axis = file.variationAxes.wght;
      const held = axis ? Math.min(axis.max, Math.max(axis.min, weight)) : weight;
      weights.set(weight, (font = file.getVariation({ wght: held })));
    }
    return font;
  };
  const measure = (text: string, font: Font): number => {
    const candidates = filesOf(font);
    let width = 0;
    for (const { file, part } of splitByFile(text, candidates)) {
      const varied = atWeight(file, font.weight);
      width += (varied.layout(part).advanceWidth / varied.unitsPerEm) * font.size;
    }
    return width;
  };
  return {
    width: (text, font) => {
      const key = `${font.families[0] ?? ''}|${font.weight}|${font.size}|${text}`;
      let width = widths.get(key);
      if (width === undefined) {
        if (widths.size > 100_000) widths.clear();
        widths.set(key, (width = measure(text, font)));
      }
      return width;
    },
    metrics: (font) => {
      const [file] = filesOf(font);
      if (!file) return { ascent: font.size * 0.8, descent: font.size * 0.2, lineGap: 0 };
      const scale = font.size / file.unitsPerEm;
      return { ascent: file.ascent * scale, descent: -file.descent * scale, lineGap: file.lineGap * scale };
    },
  };
}

/** Stretches of a text by the first file that has their characters. */
function splitByFile(text: string, files: readonly FontFile[]): { file: FontFile; part: string }[] {
  const parts: { file: FontFile; part: string }[] = [];
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
