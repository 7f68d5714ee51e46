/** What the parts of tiles hold. */

import type { FilmId, IconId, PictureId, TileId } from './ids.js';

/** Words with marks on some of them. */
export interface RichSpan {
  readonly text: string;
  readonly strong?: boolean;
  readonly emphasis?: boolean;
  /** Where it leads. */
  readonly link?: string;
}

export type Block =
  | { readonly kind: 'paragraph'; readonly spans: readonly RichSpan[] }
  | { readonly kind: 'list' | 'numbered'; readonly items: readonly (readonly RichSpan[])[] };

export type RichText = readonly Block[];

/** Plain words, a blank line between paragraphs, or rich ones. */
export type Words = string | RichText;

export interface PictureAsset {
  readonly id: PictureId;
  readonly name: string;
  /** File name under `pictures/`, beside the document. */
  readonly file: string;
  /** SHA-256 of its bytes, in hexadecimal. */
  readonly hash: string;
  readonly mediaType:
    'image/jpeg' | 'image/png' | 'image/webp' | 'image/avif' | 'image/gif' | 'image/svg+xml';
  /** Natural size in picture px. */
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Empty: none written yet. */
  readonly alternativeText: string;
  /** Its mean, darkest and lightest colour, `#rrggbb`; left out: not known. */
  readonly colours?: readonly string[];
  /** It in a few px, `24x16:` and the bytes of their channels in base64; left out: not known, or it lets through. */
  readonly raster?: string;
  /** A few px of it as a `data:` address, shown until it has come. */
  readonly placeholder?: string;
}

/** One of a row of icons: an icon or a picture, with what it stands for. */
export interface IconItem {
  /** Tells it apart from the others in its row; filled in where it is left out. */
  readonly id?: string;
  readonly icon: IconId | null;
  readonly picture: PictureId | null;
  readonly label: string;
  /** Empty: it leads nowhere. */
  readonly address: string;
}

/** An icon as drawn on 24 × 24 with strokes: SVG elements by name and attributes. */
export interface IconAsset {
  readonly id: IconId;
  readonly name: string;
  readonly shapes: readonly (readonly [string, Readonly<Record<string, string>>])[];
}

/** A film without sound that plays in its tile. */
export interface FilmAsset {
  readonly id: FilmId;
  readonly name: string;
  /** File name under `films/`, beside the document. */
  readonly file: string;
  readonly hash: string;
  readonly mediaType: 'video/mp4' | 'video/webm';
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Seconds. */
  readonly duration: number;
  /** What it shows. Empty: none written yet. */
  readonly alternativeText: string;
}

export type RecipeId = string;

/** What a tile says of the recipe that it uses. */
export interface RecipeUse {
  readonly recipe: RecipeId;
  /** Null: the recipe as it is. */
  readonly variant: string | null;
  /** Which tile of the recipe it is. */
  readonly tile: TileId;
}
