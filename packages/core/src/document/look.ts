/** What things look like. Lengths that are numbers are CSS px. */

import type { WrittenLength } from '../engine/css/writtenLength.js';
import type { PictureId } from './ids.js';

/** `#rrggbb`, or the id of a named look in braces: `{moss}`. */
export type Colour = string;

/** px, a CSS length as `WrittenLength` has it, or the id of a named look in braces: `{wide-gap}`. */
export type Measure = WrittenLength;

/** A point of a picture as shares of its width and height, 0 to 1 from the top left. */
export interface FocalPoint {
  readonly x: number;
  readonly y: number;
}

/** A colour laid over a picture; opacity 0 (none) to 1 (nothing of the picture shows). */
export interface Tint {
  readonly colour: Colour;
  readonly opacity: number;
}

export interface GradientStop {
  /** Tells it apart from the other stops; filled in where it is left out. */
  readonly id?: string;
  readonly colour: Colour;
  /** 0 to 1 along the gradient's line or radius. */
  readonly at: number;
  /** 0 (nothing of it shows) to 1; left out: 1. */
  readonly opacity?: number;
}

export interface LinearGradient {
  readonly kind: 'linear';
  /** Degrees, 0 upwards and clockwise from there, as in CSS. */
  readonly angle: number;
  /** At least two. */
  readonly stops: readonly GradientStop[];
}

/** A circle that reaches to the farthest corner. */
export interface RadialGradient {
  readonly kind: 'radial';
  /** Its middle, as shares of the tile. */
  readonly x: number;
  readonly y: number;
  readonly stops: readonly GradientStop[];
}

export type Gradient = LinearGradient | RadialGradient;

/** A picture behind the contents. */
export interface PictureFill {
  readonly kind: 'picture';
  readonly picture: PictureId;
  readonly focalPoint: FocalPoint;
  readonly tint: Tint;
  /** Left out: it covers the tile. */
  readonly fit?: 'cover' | 'contain';
}

/** The colour may be `none`: what lies behind the tile shows through. */
export type Fill = Colour | Gradient | PictureFill;

export interface Border {
  readonly width: number;
  readonly paint: Colour | Gradient;
}

/** A shadow that a tile casts, or one cast into it. */
export interface Shadow {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly colour: Colour;
  /** 0 to 1. */
  readonly opacity: number;
}

export interface FourSides<L = number> {
  readonly blockStart: L;
  readonly inlineEnd: L;
  readonly blockEnd: L;
  readonly inlineStart: L;
}

/** A type size that grows with the page: `from` px at `fromWidth` and narrower, `to` px at `toWidth` and wider. */
export interface FluidSize {
  readonly from: number;
  readonly to: number;
  readonly fromWidth: number;
  readonly toWidth: number;
}

export type TypeSize = Measure | FluidSize;

export type FamilyName = 'Bricolage Grotesque' | 'Hanken Grotesk' | 'Martian Mono';

export type Spread = 'start' | 'center' | 'end' | 'between';
/** Across the content's direction; `fill` stretches. */
export type Alignment = 'start' | 'center' | 'end' | 'stretch';

/** What is left out is as the collection has it, or none. */
export interface TileLook {
  readonly fill: Fill;
  /** The colour of words; `auto`: light or dark, whichever is more legible on what lies behind. */
  readonly textColour: Colour;
  /** How the contents are spread along their direction. */
  readonly spread: Spread;
  readonly align?: Alignment;
  /** The contents go down the tile or along it. */
  readonly direction?: 'column' | 'row';
  readonly gap?: Measure;
  readonly padding?: Measure | FourSides<WrittenLength>;
  readonly radius?: Measure;
  readonly border?: Border;
  readonly outerShadow?: Shadow;
  readonly innerShadow?: Shadow;
  /** Edges that fade out over so many px. */
  readonly fade?: FourSides;
  /** Words run along the inline axis, or down the block axis. */
  readonly writingDirection?: 'horizontal' | 'vertical';
  /** Of heading, figure, quoted words and the label of an action. */
  readonly headingFamily?: FamilyName;
  readonly headingSize?: TypeSize;
  readonly headingWeight?: number;
  /** A factor of the size. */
  readonly headingLineHeight?: number;
  /** em. */
  readonly headingLetterSpacing?: number;
  /** Of everything else. */
  readonly bodyFamily?: FamilyName;
  readonly bodySize?: TypeSize;
  readonly bodyWeight?: number;
  readonly bodyLineHeight?: number;
  readonly bodyLetterSpacing?: number;
}

export interface CollectionLook {
  readonly background: Colour;
  readonly radius: Measure;
  readonly tilePadding: Measure;
  readonly headingFamily: FamilyName;
  readonly bodyFamily: FamilyName;
  readonly headingSize: TypeSize;
  readonly bodySize: TypeSize;
}

export type NamedLookId = string;

/** A value that many things share by its name; change it once, all follow. */
export type NamedLook = NamedBase &
  (
    | { readonly kind: 'colour'; readonly value: string }
    | { readonly kind: 'radius'; readonly value: number }
    | { readonly kind: 'space'; readonly value: number }
    | { readonly kind: 'type'; readonly value: number | FluidSize }
  );

interface NamedBase {
  readonly id: NamedLookId;
  readonly name: string;
  /** The named look of the same kind whose value it always has; left out, or not there: it has its own. */
  readonly follows?: NamedLookId;
}

export type NamedLooks = Readonly<Record<NamedLookId, NamedLook>>;
