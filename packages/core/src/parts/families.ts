import { looksOfBands } from '../document/bandLooks.js';
import { axesCss, featuresCss, type FamilyName } from '../document/font.js';
import { perObject } from '../memo.js';
import type { BandLook, CollectionDocument, CollectionLook } from '../document/types.js';

/** One font file of a family: a script subset, chosen by the browser through its unicode range. */
export interface FontFile {
  readonly file: string;
  readonly style: 'normal' | 'italic';
  readonly unicodeRange: string;
}

export interface Family {
  /** The registry package that ships the files, under `files/`. */
  readonly package: string;
  readonly weights: string;
  readonly fallback: Generic;
  readonly files: readonly FontFile[];
  /** The features of its letters that can be asked for. */
  readonly features: readonly string[];
}

export type Generic = 'sans-serif' | 'serif' | 'monospace' | 'cursive';

const SUBSETS = {
  latin:
    'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
  'latin-ext':
    'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
};

interface Shipped {
  readonly styles?: readonly FontFile['style'][];
  /** The axis beside weight that its files have: sizes are drawn as they are seen. */
  readonly axis?: 'wght' | 'opsz';
  readonly features?: readonly string[];
}

const BOTH = ['normal', 'italic'] as const;

const family = (
  slug: string,
  weights: string,
  fallback: Generic,
  { styles = ['normal'], axis = 'wght', features = ['frac'] }: Shipped = {},
): Family => ({
  package: `@fontsource-variable/${slug}`,
  weights,
  fallback,
  features,
  files: styles.flatMap((style) =>
    Object.entries(SUBSETS).map(([subset, unicodeRange]) => ({
      file: `${slug}-${subset}-${axis}-${style}.woff2`,
      style,
      unicodeRange,
    })),
  ),
});

/** The type families that ship with Noria and go out with a page. */
export const FAMILIES: Readonly<Record<string, Family>> = {
  'Bricolage Grotesque': family('bricolage-grotesque', '200 800', 'sans-serif', {
    features: ['frac', 'pnum', 'tnum'],
  }),
  'Hanken Grotesk': family('hanken-grotesk', '100 900', 'sans-serif'),
  Figtree: family('figtree', '300 900', 'sans-serif', { styles: BOTH, features: ['frac', 'pnum', 'tnum'] }),
  Nunito: family('nunito', '200 1000', 'sans-serif', { styles: BOTH }),
  Oswald: family('oswald', '200 700', 'sans-serif'),
  Unbounded: family('unbounded', '200 900', 'sans-serif', { features: ['frac', 'pnum', 'tnum'] }),
  Newsreader: family('newsreader', '200 800', 'serif', {
    styles: BOTH,
    axis: 'opsz',
    features: ['pnum', 'tnum'],
  }),
  Fraunces: family('fraunces', '100 900', 'serif', { styles: BOTH, axis: 'opsz', features: [] }),
  'Playfair Display': family('playfair-display', '400 900', 'serif', {
    styles: BOTH,
    features: ['frac', 'lnum'],
  }),
  Bitter: family('bitter', '100 900', 'serif', { styles: BOTH, features: ['frac', 'lnum', 'pnum', 'tnum'] }),
  'Martian Mono': family('martian-mono', '100 800', 'monospace'),
  'JetBrains Mono': family('jetbrains-mono', '100 800', 'monospace', { styles: BOTH }),
  Caveat: family('caveat', '400 700', 'cursive'),
};

/** The families that a device has of its own (CSS Fonts 4, section 2.1.3): nothing goes out with a page. */
export const SYSTEM_STACKS: Readonly<Record<string, string>> = {
  'System sans': 'system-ui, sans-serif',
  'System serif': 'ui-serif, Georgia, serif',
  'System rounded': 'ui-rounded, system-ui, sans-serif',
  'System mono': 'ui-monospace, monospace',
};

const own = <V>(all: Readonly<Record<string, V>> | undefined, name: string): V | undefined =>
  all && Object.hasOwn(all, name) ? all[name] : undefined;

/** A family that ships with Noria. */
export const shippedFamily = (name: FamilyName): Family | undefined => own(FAMILIES, name);

/** A `font-family` value. */
export const familyCss = (name: FamilyName) =>
  own(SYSTEM_STACKS, name) ?? `"${name}", ${shippedFamily(name)?.fallback ?? 'sans-serif'}`;

/** Whether a collection has a family: it ships, the device has it, or the collection brings it. */
export const hasFamily = ({ families }: Pick<CollectionDocument, 'families'>, name: FamilyName): boolean =>
  (shippedFamily(name) ?? own(SYSTEM_STACKS, name) ?? own(families, name)) !== undefined;

type Looks = Pick<CollectionDocument, 'look' | 'tiles' | 'bands'>;

const looksIn = ({ look, tiles, bands }: Looks) => [
  look,
  ...Object.values(tiles).map((tile) => tile.look),
  ...looksOfBands({ bands }),
];

/** The families that looks name, each once. */
export const familiesInLooks = (
  looks: readonly {
    readonly headingFamily?: FamilyName | null | undefined;
    readonly bodyFamily?: FamilyName | null | undefined;
  }[],
): FamilyName[] => [
  ...new Set(
    looks.flatMap(({ headingFamily, bodyFamily }) => [headingFamily ?? [], bodyFamily ?? []].flat()),
  ),
];

/** The families that a collection uses, in its look and in its tiles'. */
export const familiesOf = (document: Looks): FamilyName[] => familiesInLooks(looksIn(document));

/** A family, and what its letters are set with. */
export interface FontUse {
  readonly family: FamilyName;
  /** CSS values; `normal` where nothing is set. */
  readonly features: string;
  readonly axes: string;
}

/**
 * Every font that words of a collection may be set in. Words in words inherit settings, so a look's settings
 * hold for both of its families.
 */
export const fontsOf = perObject((document: CollectionDocument): readonly FontUse[] => {
  const { look } = document;
  const uses = new Map<string, FontUse>();
  for (const each of looksIn(document)) {
    const of: BandLook & Pick<CollectionLook, 'headingFamily' | 'bodyFamily'> = {
      ...look,
      ...Object.fromEntries(Object.entries(each).filter(([, value]) => value !== null)),
    };
    const settings = <V>(...all: (V | null | undefined)[]) => all.filter((value) => value != null);
    const features = new Set(['normal', ...settings(of.headingFeatures, of.bodyFeatures).map(featuresCss)]);
    const axes = new Set(['normal', ...settings(of.headingAxes, of.bodyAxes).map(axesCss)]);
    for (const family of [of.headingFamily, of.bodyFamily])
      for (const feature of features)
        for (const axis of axes)
          uses.set(`${family}|${feature}|${axis}`, { family, features: feature, axes: axis });
  }
  return [...uses.values()];
});
