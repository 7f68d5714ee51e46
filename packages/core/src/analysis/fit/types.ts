import type { JsonPatch } from '../../edit/patch/types.js';
import type { TileId } from '../../document/types.js';

/** Every kind of finding, the worst first. */
export const FINDING_KINDS = [
  'overlap',
  'overflow',
  'clipped',
  'squashed',
  'hole',
  'out of order',
  'over-cropped',
  'focus lost',
  'lock lost',
  'faint',
  'stray',
  'pin lost',
  'soft',
  'no alternative text',
] as const;

export type FindingKind = (typeof FINDING_KINDS)[number];

/** `breaks` the page, `wrong` to look at, or `better` otherwise. */
export type Severity = 'breaks' | 'wrong' | 'better';

export const SEVERITY: Readonly<Record<FindingKind, Severity>> = {
  overlap: 'breaks',
  overflow: 'breaks',
  clipped: 'breaks',
  squashed: 'wrong',
  hole: 'wrong',
  'out of order': 'wrong',
  'over-cropped': 'wrong',
  'focus lost': 'wrong',
  'lock lost': 'wrong',
  faint: 'wrong',
  stray: 'wrong',
  'pin lost': 'better',
  soft: 'better',
  'no alternative text': 'better',
};

/** Widths of the page from one to another, both included, px. */
export interface WidthRange {
  readonly from: number;
  readonly to: number;
}

/** Kinds that are the same in every band; the others are found for each band by itself. */
export const ANY_BAND: readonly FindingKind[] = ['faint', 'no alternative text'];

/** Something that the fit check found, at all widths of a band where it holds. */
export interface Finding {
  /** The same thing has the same id after an edit. */
  readonly id: string;
  readonly kind: FindingKind;
  readonly severity: Severity;
  /** Whose it is; for a hole the tile that does not fit there. */
  readonly tiles: readonly TileId[];
  /** The group it is in; null: the collection itself. */
  readonly level: TileId | null;
  /** Index of the band it is found in; of the widest for what is the same in all. */
  readonly band: number;
  /** From narrow to wide; they do not touch. */
  readonly ranges: readonly WidthRange[];
  /** What it is, in a few words. */
  readonly title: string;
  /** Why, in words with figures. */
  readonly reason: string;
  /** The width at which it is worst. */
  readonly worst: number;
  /** The figures of the reason, at that width. */
  readonly figures: Readonly<Record<string, number | string>>;
  readonly ignored: boolean;
}

/** What is drawn over the axis of widths: one value for every px from the first width on. */
export interface WidthCurves {
  readonly columns: Float32Array;
  /** Width of the tile that is narrowest beside what it needs, px; 0 without such tiles. */
  readonly narrowest: Float32Array;
  /** What that tile needs, px. */
  readonly need: Float32Array;
  /** Covered cells ÷ all cells, 0 to 1. */
  readonly packed: Float32Array;
  readonly blockSize: Float32Array;
  /** The least part of a picture that shows, 0 to 1; 1 without pictures. */
  readonly leastShown: Float32Array;
}

export interface FitReport {
  readonly from: number;
  readonly to: number;
  /** The worst first, then by width. */
  readonly findings: readonly Finding[];
  readonly curves: WidthCurves;
}

/** A change that puts a finding right, worked out and tried beforehand. */
export interface Fix {
  /** What a button says. */
  readonly does: string;
  readonly patch: JsonPatch;
  /** Whether the finding is gone at every width and nothing else is found that was not there before. */
  readonly safe: boolean;
}
