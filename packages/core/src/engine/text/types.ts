/** What a measurer needs to know of a font; sizes in px. */
export interface Font {
  /** Families in order of preference, without quotes. */
  readonly families: readonly string[];
  readonly size: number;
  /** 1 to 1000. */
  readonly weight: number;
  readonly italic: boolean;
  /** `font-feature-settings` and `font-variation-settings`; `normal` where nothing is set. */
  readonly features: string;
  readonly axes: string;
}

/** Vertical metrics of a font at its size, px above and below the baseline. */
export interface FontMetrics {
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
}

/**
 * Measures words. The caller gives one: canvas in a page or a worker, font files on the command line
 * and on the server.
 */
export interface TextMeasurer {
  /** Advance width of a text in one line, kerning and ligatures included, letter spacing not. */
  readonly width: (text: string, font: Font) => number;
  readonly metrics: (font: Font) => FontMetrics;
}

/** Words of one look. */
export interface TextRun {
  readonly text: string;
  readonly font: Font;
  /** px; null: as the font says. */
  readonly lineHeight: number | null;
  readonly letterSpacing: number;
}

/** How a paragraph breaks (CSS Text 4). */
export interface ParagraphStyle {
  /** To which side lines go; left out: the left. */
  readonly align?: 'start' | 'center' | 'end';
  /** Whether lines are about as long as each other; how many there are is the same. */
  readonly balances?: boolean;
  readonly wraps: boolean;
  /** `pre` keeps spaces and line ends, `pre-line` only line ends. */
  readonly collapses: 'all' | 'spaces' | 'none';
  /** Where a word that is too long for a line may be cut. */
  readonly overflowWrap: 'normal' | 'break-word' | 'anywhere';
  readonly wordBreak: 'normal' | 'break-all' | 'keep-all';
}
