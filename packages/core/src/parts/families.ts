import { looksOfBands } from '../document/bandLooks.js';
import type { CollectionDocument, FamilyName } from '../document/types.js';

/** One font file of a family: a script subset, chosen by the browser through its unicode range. */
export interface FontFile {
  readonly file: string;
  readonly unicodeRange: string;
}

export interface Family {
  /** The registry package that ships the files, under `files/`. */
  readonly package: string;
  readonly weights: string;
  readonly fallback: string;
  readonly files: readonly FontFile[];
}

const LATIN =
  'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD';
const LATIN_EXT =
  'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF';

const family = (slug: string, weights: string, fallback: string): Family => ({
  package: `@fontsource-variable/${slug}`,
  weights,
  fallback,
  files: [
    { file: `${slug}-latin-wght-normal.woff2`, unicodeRange: LATIN },
    { file: `${slug}-latin-ext-wght-normal.woff2`, unicodeRange: LATIN_EXT },
  ],
});

/** The type families that ship with Noria and go out with a page. */
export const FAMILIES: Readonly<Record<FamilyName, Family>> = {
  'Bricolage Grotesque': family('bricolage-grotesque', '200 800', 'sans-serif'),
  'Hanken Grotesk': family('hanken-grotesk', '100 900', 'sans-serif'),
  'Martian Mono': family('martian-mono', '100 800', 'monospace'),
};

/** A `font-family` value. */
export const familyCss = (name: FamilyName) => `"${name}", ${FAMILIES[name].fallback}`;

/** The families that a collection uses, in its look and in its tiles'. */
export function familiesOf({
  look,
  tiles,
  bands,
}: Pick<CollectionDocument, 'look' | 'tiles' | 'bands'>): FamilyName[] {
  const looks = [...Object.values(tiles).map((tile) => tile.look), ...looksOfBands({ bands })];
  const own = looks.flatMap(({ headingFamily, bodyFamily }) => [headingFamily, bodyFamily]);
  const used = [look.headingFamily, look.bodyFamily, ...own];
  return [...new Set(used.filter((name) => typeof name === 'string'))];
}
