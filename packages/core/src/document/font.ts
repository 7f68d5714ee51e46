/** What a type family is called in CSS and on screen. */
export type FamilyName = string;

/** An axis along which a variable font changes (OpenType 1.9, “fvar”). */
export interface FontAxis {
  /** Four characters, such as `wdth`. */
  readonly tag: string;
  readonly min: number;
  readonly max: number;
  readonly default: number;
}

/** A font file of the workspace's library, as one face of a family. */
export interface FontFace {
  readonly hash: string;
  /** The name of the file in a page and an archive. */
  readonly file: string;
  readonly mediaType: 'font/woff2' | 'font/ttf' | 'font/otf';
  readonly style: 'normal' | 'italic';
  /** From the lightest to the heaviest, 1 to 1000; the same twice where there is one. */
  readonly weight: readonly [from: number, to: number];
  /** The axes beside weight. */
  readonly axes: readonly FontAxis[];
  /** The tags of the features that it has (OpenType 1.9, “GSUB” and “GPOS”). */
  readonly features: readonly string[];
}

/** A family of font files that were added. */
export interface OwnFamily {
  readonly name: FamilyName;
  readonly faces: readonly FontFace[];
}

/** What the letters of one face are set with, beside size and weight. */
export interface FontSettings {
  /** Tags of features that are on. */
  readonly features: readonly string[];
  /** Values of axes by tag. */
  readonly axes: Readonly<Record<string, number>>;
}

/** A `font-feature-settings` value (CSS Fonts 4, section 6.12). */
export const featuresCss = (features: readonly string[]): string =>
  features.length === 0 ? 'normal' : features.map((tag) => `"${tag}"`).join(', ');

/** A `font-variation-settings` value (CSS Fonts 4, section 8.3). */
export const axesCss = (axes: Readonly<Record<string, number>>): string => {
  const set = Object.entries(axes);
  return set.length === 0 ? 'normal' : set.map(([tag, value]) => `"${tag}" ${value}`).join(', ');
};

/** What a font’s name in a list of families may be, in Unicode. */
export const FAMILY_NAME = /^[\p{L}\p{N}][\p{L}\p{N} ._+&-]{0,59}$/u;
/** A tag of a feature or an axis. */
export const FONT_TAG = /^[A-Za-z0-9]{4}$/;
