/** What things look like. Lengths that are numbers are CSS px. */

import type { WrittenLength } from '../engine/css/writtenLength.js';
import type { FamilyName } from './font.js';
import type { FilmId, PictureId } from './ids.js';

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

/** From a middle outwards, which may lie outside of the tile. */
export interface RadialGradient {
  readonly kind: 'radial';
  /** Its middle, as shares of the tile. */
  readonly x: number;
  readonly y: number;
  /** How far it reaches, as shares of the tile’s width and height; left out: a circle to the farthest corner. */
  readonly radii?: Radii;
  /** Turns the ellipse of its radii clockwise, degrees; left out: 0. */
  readonly angle?: number;
  readonly stops: readonly GradientStop[];
}

export interface Radii {
  readonly x: number;
  readonly y: number;
}

/** Around a middle, which may lie outside of the tile. */
export interface ConicGradient {
  readonly kind: 'conic';
  /** Its middle, as shares of the tile. */
  readonly x: number;
  readonly y: number;
  /** Where it begins: degrees, 0 upwards and clockwise from there, as in CSS. */
  readonly angle: number;
  readonly stops: readonly GradientStop[];
}

export type Gradient = LinearGradient | RadialGradient | ConicGradient;

/** One colour that lets through what is behind it; opacity 0 (nothing of it shows) to 1. */
export interface PlainPaint {
  readonly kind: 'plain';
  readonly colour: Colour;
  readonly opacity: number;
}

/** What a line is drawn with. */
export type Paint = Colour | PlainPaint | Gradient;

/** What is laid over a picture or film: one colour, or a gradient whose stops have opacities. */
export type Veil = Tint | Gradient;

/** What fills of pictures and films have in common. */
interface MediaFill {
  readonly focalPoint: FocalPoint;
  readonly tint: Veil;
  /** Left out: it covers the tile. */
  readonly fit?: 'cover' | 'contain';
  /** 1 to 8 times the size that covers its place; left out: 1. */
  readonly zoom?: number;
  /** Which piece of it shows, as `object-position`; left out: the one around the focal point. */
  readonly position?: FocalPoint;
}

/** A picture behind the contents. */
export interface PictureFill extends MediaFill {
  readonly kind: 'picture';
  readonly picture: PictureId;
}

/** A film behind the contents: it plays by itself, without sound, again and again. */
export interface FilmFill extends MediaFill {
  readonly kind: 'film';
  readonly film: FilmId;
  /** What shows before it plays, and to those who asked for less motion. */
  readonly poster: PictureId | null;
}

/** The colour may be `none`: what lies behind the tile shows through. */
export type Fill = Paint | PictureFill | FilmFill;

/** How a layer is mixed with what is under it in its tile, as CSS Compositing 1 calls it. */
export type Blend = (typeof BLENDS)[number];

export const BLENDS = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const;

/** A layer over a tile’s fill, behind its contents. */
export interface FillLayer {
  /** Tells it apart from the other layers; filled in where it is left out. */
  readonly id?: string;
  readonly fill: Paint | PictureFill;
  /** Left out: `normal`. */
  readonly blend?: Blend;
}

export interface Border {
  readonly width: number | FourSides;
  readonly paint: Paint;
}

/** A shadow that a tile casts, or one cast into it. */
export interface Shadow {
  /** Tells it apart from the other shadows; filled in where it is left out. */
  readonly id?: string;
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

/** Of a tile’s corners: the first word says which end of the block axis, the second which of the inline axis. */
export interface FourCorners<L = WrittenLength> {
  readonly startStart: L;
  readonly startEnd: L;
  readonly endEnd: L;
  readonly endStart: L;
}

/** A type size that grows with the page: `from` px at `fromWidth` and narrower, `to` px at `toWidth` and wider. */
export interface FluidSize {
  readonly from: number;
  readonly to: number;
  readonly fromWidth: number;
  readonly toWidth: number;
}

export type TypeSize = Measure | FluidSize;

/** Each line as full as it gets, lines of about one length, or none that ends a paragraph with a single word. */
export type TextWrap = 'wrap' | 'balance' | 'pretty';

export type Spread = 'start' | 'center' | 'end' | 'between';
/** Across the content's direction; `fill` stretches. */
export type Alignment = 'start' | 'center' | 'end' | 'stretch';

/** What is left out is as the collection has it, or none. */
export interface TileLook {
  readonly fill: Fill;
  /** Layers over the fill, the uppermost first; left out: none. */
  readonly over?: readonly FillLayer[];
  /** How much of what lies behind the tile is blurred, px; left out: 0. It is seen where the fill lets it through. */
  readonly backdropBlur?: number;
  /** The colour of words; `auto`: light or dark, whichever is more legible on what lies behind. */
  readonly textColour: Colour;
  /** How the contents are spread along their direction. */
  readonly spread: Spread;
  readonly align?: Alignment;
  /** The contents go down the tile or along it. */
  readonly direction?: 'column' | 'row';
  readonly gap?: Measure;
  readonly padding?: Measure | FourSides<WrittenLength>;
  readonly radius?: Measure | FourCorners;
  readonly border?: Border;
  /** One, or several with the uppermost first. */
  readonly outerShadow?: Shadow | readonly Shadow[];
  readonly innerShadow?: Shadow | readonly Shadow[];
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
  /** Tags of OpenType features that are on, such as `tnum`; left out: those of the font. */
  readonly headingFeatures?: readonly string[];
  /** Axes of a variable font beside weight, by tag. */
  readonly headingAxes?: Readonly<Record<string, number>>;
  /** How lines are broken (CSS Text 4, section 6.3); left out: headings balanced, the rest each as full as it gets. */
  readonly headingWrap?: TextWrap;
  /** Of everything else. */
  readonly bodyFamily?: FamilyName;
  readonly bodySize?: TypeSize;
  readonly bodyWeight?: number;
  readonly bodyLineHeight?: number;
  readonly bodyLetterSpacing?: number;
  readonly bodyFeatures?: readonly string[];
  readonly bodyAxes?: Readonly<Record<string, number>>;
  readonly bodyWrap?: TextWrap;
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

export type StyleId = string;

/** A named set of looks that tiles follow: change it once, all of them change. */
export interface Style {
  readonly id: StyleId;
  readonly name: string;
  /** What it sets; everything else is as each tile has it. */
  readonly look: Partial<Pick<TileLook, StyledField>>;
}

/** What a style may set: fill, type, border and padding, and what belongs to them. */
export type StyledField = Exclude<
  keyof TileLook,
  'spread' | 'align' | 'direction' | 'writingDirection' | 'fade'
>;

export type NamedLookId = string;

/** A value that many things share by its name; change it once, all follow. */
export type NamedLook = NamedBase &
  (
    | { readonly kind: 'colour'; readonly value: string; readonly wash?: Wash }
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

/** How a colour is made of another one, which it follows: as light, at most as strong, its hue turned. */
export interface Wash {
  readonly of: NamedLookId;
  /** 0 to 1, in OKLCH. */
  readonly lightness: number;
  /** The most chroma that it has of the other, 0 to 0.4. */
  readonly chroma: number;
  /** Degrees. */
  readonly turn: number;
}

export type NamedLooks = Readonly<Record<NamedLookId, NamedLook>>;
