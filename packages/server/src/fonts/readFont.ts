import { FAMILIES, FAMILY_NAME, FONT_TAG, LIMITS, SYSTEM_STACKS, type FontFace } from '@noria/core';
import * as fontkit from 'fontkit';
import wawoff2 from 'wawoff2';
import type { FontFacts } from './font.entity.js';

/** What a file was found to be, or why it is no font. */
export type ReadFont =
  | { readonly family: string; readonly mediaType: FontFace['mediaType']; readonly facts: FontFacts }
  | { readonly why: string };

/** The first four bytes of a file (OpenType 1.9, “Organization of an OpenType font”; WOFF2, section 4.1). */
const KINDS: Readonly<Record<string, FontFace['mediaType']>> = {
  wOF2: 'font/woff2',
  OTTO: 'font/otf',
  '\u0000\u0001\u0000\u0000': 'font/ttf',
  true: 'font/ttf',
};
/** A compressed font says how large it is unpacked (WOFF2, section 4.1); more than this is not unpacked, bytes. */
const MOST_UNPACKED = 64 * 1024 * 1024;
const MOST_GLYPHS = 65_535;

interface Tables {
  readonly 'OS/2'?: { readonly usWeightClass: number; readonly fsSelection: { readonly italic: boolean } };
  readonly familyName?: string;
  readonly variationAxes?: Readonly<
    Record<string, { readonly min: number; readonly max: number; readonly default: number }>
  >;
  readonly name?: { readonly records: Readonly<Record<string, Readonly<Record<string, string>>>> };
}

/** Reads what a font file is; never throws. What is in it is nobody’s word: it is checked as any document is. */
export async function readFont(bytes: Uint8Array): Promise<ReadFont> {
  const file = Buffer.from(bytes);
  const kind = file.toString('latin1', 0, 4);
  const mediaType = Object.hasOwn(KINDS, kind) ? KINDS[kind] : undefined;
  if (kind === 'ttcf') return { why: 'It is a collection of several fonts. Save them one by one.' };
  if (kind === 'wOFF') return { why: 'It is a WOFF font of the first version.' };
  if (!mediaType) return { why: 'Its bytes can’t be read as a font.' };
  try {
    if (mediaType === 'font/woff2' && file.readUInt32BE(16) > MOST_UNPACKED)
      return { why: 'It is larger unpacked than any font that a page could use.' };
    const plain = mediaType === 'font/woff2' ? Buffer.from(await wawoff2.decompress(file)) : file;
    const font = fontkit.create(plain);
    if (!('numGlyphs' in font) || font.numGlyphs < 1 || font.numGlyphs > MOST_GLYPHS)
      return { why: 'There are no letters in it.' };
    // A face that can’t be laid out is none that can be shown.
    font.layout('Hag 0');
    // Types promise tables that a file need not have.
    const tables = font as unknown as Tables;
    return { family: familyOf(tables), mediaType, facts: factsOf(font, tables) };
  } catch {
    return { why: 'It begins like a font, but its tables can’t be read.' };
  }
}

/** Weights as names end in them; a family of four styles is called after the lightest by some programs. */
const WEIGHT_AT_END =
  / (thin|hairline|(extra|ultra|semi|demi)?[ -]?(light|bold)|regular|medium|black|heavy)$/i;

/** The name of all its weights where the font says one (name 16), else that of the four usual styles (name 1). */
function familyOf({ name: table, familyName }: Tables): string {
  const { preferredFamily, fontFamily } = table?.records ?? {};
  const first = (names: Readonly<Record<string, string>> | undefined) => Object.values(names ?? {})[0];
  const said = first(preferredFamily) ?? first(fontFamily)?.replace(WEIGHT_AT_END, '') ?? familyName ?? '';
  const clean = said
    .replace(/[^\p{L}\p{N} ._+&-]+/gu, ' ')
    .trim()
    .replace(/\s+/g, ' ')
    .slice(0, 50)
    .trim();
  const name = FAMILY_NAME.test(clean) ? clean : 'Unnamed';
  return Object.hasOwn(FAMILIES, name) || Object.hasOwn(SYSTEM_STACKS, name) ? `${name} own` : name;
}

function factsOf(font: fontkit.Font, { 'OS/2': os2, variationAxes = {} }: Tables): FontFacts {
  const axes = Object.entries(variationAxes).flatMap(([tag, { min, max, default: usual }]) => {
    const isSound = FONT_TAG.test(tag) && [min, max, usual].every((value) => Math.abs(value) <= 10_000);
    return isSound ? [{ tag, min, max, default: usual }] : [];
  });
  const weight = axes.find(({ tag }) => tag === 'wght');
  const own = held(os2?.usWeightClass ?? 400);
  return {
    style: os2?.fsSelection.italic ? 'italic' : 'normal',
    weight: weight ? [held(weight.min), held(weight.max)] : [own, own],
    axes: axes.filter(({ tag }) => tag !== 'wght').slice(0, LIMITS.fontSettings),
    features: [...new Set(font.availableFeatures)]
      .filter((tag) => FONT_TAG.test(tag))
      .sort()
      .slice(0, LIMITS.fontFeatures),
  };
}

const held = (weight: number) => Math.min(1000, Math.max(1, Math.round(weight)));
