/** What is in cards: parts, in the order in which they are read. */

import type { IconItem, Words } from './content.js';
import type { FilmId, PartId, PictureId } from './ids.js';
import type { Alignment, FocalPoint, Veil } from './look.js';

/** How a part stands in its card, whatever it holds. */
export interface PartStanding {
  /** It keeps what it holds, and is not shown. */
  readonly hidden?: true;
  /** It stands in a line with the part before it; left out: in a line of its own. */
  readonly beside?: true;
  /** Where it lies across the direction of its line or its card; left out: as the tile says. */
  readonly align?: Alignment;
  /** The part that its words were written in, where that was another: they go back there first. */
  readonly from?: { readonly kind: PartName; readonly id: PartId };
}

interface PartBase extends PartStanding {
  /** Tells it apart from the other parts of its card; filled in where the file leaves it out. */
  readonly id: PartId;
}

/** A few words over a heading. */
export interface EyebrowPart extends PartBase {
  readonly kind: 'eyebrow';
  readonly words: string;
}

export interface HeadingPart extends PartBase {
  readonly kind: 'heading';
  readonly words: string;
  /** 1 to 6; left out: by where it comes in the page. */
  readonly level?: number;
}

/** Running words. */
export interface TextPart extends PartBase {
  readonly kind: 'text';
  readonly words: Words;
}

/** A number, shown large. */
export interface FigurePart extends PartBase {
  readonly kind: 'figure';
  readonly words: string;
}

/** What a figure counts. */
export interface LabelPart extends PartBase {
  readonly kind: 'label';
  readonly words: string;
}

export interface QuotePart extends PartBase {
  readonly kind: 'quote';
  readonly words: string;
}

/** Who said or wrote it. */
export interface SourcePart extends PartBase {
  readonly kind: 'source';
  readonly words: string;
}

/** A row of icons or logos. */
export interface IconsPart extends PartBase {
  readonly kind: 'icons';
  readonly icons: readonly IconItem[];
  /** How high each is, px. */
  readonly size: number;
  /** Labels that are not shown are still read out. */
  readonly showLabels: boolean;
  /** In one line that runs past both edges and fades there; left out: it wraps. */
  readonly line?: 'centred' | 'scrolling';
}

/** A link or button. */
export interface ActionPart extends PartBase {
  readonly kind: 'action';
  readonly words: string;
  /** Where it leads: `https:`, `mailto:`, `#…` or a relative address. */
  readonly address: string;
}

export interface PicturePart extends PartBase {
  readonly kind: 'picture';
  /** Null: no picture chosen yet. */
  readonly picture: PictureId | null;
  /** The point that stays in view. */
  readonly focalPoint: FocalPoint;
  readonly caption: string;
  /** Left out: it covers its place. */
  readonly fit?: 'cover' | 'contain';
  /** 1 to 8 times the size that covers its place; left out: 1. */
  readonly zoom?: number;
  /** Which piece of it shows, as `object-position`; left out: the one around the focal point. */
  readonly position?: FocalPoint;
  readonly tint?: Veil;
  /** The set of pictures that it opens large in, in the page; left out: as the collection says. */
  readonly enlarges?: string;
}

export interface FilmPart extends PartBase {
  readonly kind: 'film';
  /** Null: no film chosen yet. */
  readonly film: FilmId | null;
  /** What shows before it plays. */
  readonly poster: PictureId | null;
  readonly focalPoint: FocalPoint;
  readonly caption: string;
  /** By itself, again and again, or by controls that it shows. */
  readonly playback: 'automatic' | 'controls';
}

/** A line between what is before and after it. */
export interface DividerPart extends PartBase {
  readonly kind: 'divider';
}

/** Room between parts. */
export interface SpacerPart extends PartBase {
  readonly kind: 'spacer';
  /** How much, px; null: all that is free. */
  readonly size: number | null;
}

export type Part =
  | EyebrowPart
  | HeadingPart
  | TextPart
  | FigurePart
  | LabelPart
  | QuotePart
  | SourcePart
  | IconsPart
  | ActionPart
  | PicturePart
  | FilmPart
  | DividerPart
  | SpacerPart;

/** How one part of a recipe’s card stands in a variant, and what kind of part it is there. */
export interface PartForm extends Pick<PartStanding, 'beside' | 'align'> {
  readonly part: PartId;
  /** Left out: as in the recipe. */
  readonly kind?: PartName;
}

export type PartName = Part['kind'];

/** A part that is cropped to its place, about a point of it. */
export type MediaPart = Extract<Part, { readonly focalPoint: FocalPoint }>;
