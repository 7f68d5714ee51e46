/** A tile: its place, its content and its look. */

import type { Arrangement } from './arrangement.js';
import type { Mark, RecipeUse, Words } from './content.js';
import type { FilmId, PictureId, TileId } from './ids.js';
import type { Colour, FocalPoint, TileLook, Tint } from './look.js';

export interface Pin {
  readonly column: number;
  readonly row: number;
}

/** Where a tile lies in its cells along one axis; `fill` makes it as large as they are. */
export type Lie = 'fill' | 'start' | 'centre' | 'end';

/** How a tile fills its place; a size in px of its own, or null: by its content. */
export interface Fit {
  readonly inline: Lie;
  readonly block: Lie;
  readonly inlineSize: number | null;
  readonly blockSize: number | null;
}

/** A tile's place with everything said. */
export interface WholePlace {
  readonly columnSpan: number;
  readonly rowSpan: number;
  /** Null: the tile is free and flows in reading order. A pin is never carried to a narrower band. */
  readonly pin: Pin | null;
  /** The area it lies in, in bands whose map has that name; null: none. */
  readonly area: string | null;
  readonly fit: Fit;
  /** Tiles of a higher layer lie over others in the same cells. */
  readonly layer: number;
  /** Tiles of a lower order come first in what is seen; those of one order as they are read. */
  readonly order: number;
  readonly hidden: boolean;
  /** In a row gallery a row begins with it. */
  readonly breakBefore: boolean;
  /** The modules of a mosaic that it is locked in; null: it goes where there is room. Never carried. */
  readonly slot: MosaicPlace | null;
}

/** A place in a mosaic: its first module, 1-based, and how many it takes. */
export interface MosaicPlace extends Pin {
  readonly columnSpan: number;
  readonly rowSpan: number;
}

/** A tile's place as the file says it: what is left out is no area, filling its cells, layer and order 0, shown. */
export type Place = Pick<WholePlace, 'columnSpan' | 'rowSpan' | 'pin'> &
  Partial<Pick<WholePlace, 'area' | 'fit' | 'layer' | 'order' | 'hidden' | 'breakBefore' | 'slot'>>;

/** What a narrower band says of a tile's place. */
export interface OwnPlace extends Partial<Place> {
  /** The spans were derived from the next wider band; one that is set by hand is not. */
  readonly derived?: true;
}

/** A small thing at a corner or edge of a tile; it grows away from there. */
export interface Badge {
  /** Tells it apart from the other badges of its tile; filled in where it is left out. */
  readonly id?: string;
  readonly words: string;
  readonly inline: Exclude<Lie, 'fill'>;
  readonly block: Exclude<Lie, 'fill'>;
  readonly fill: Colour;
  readonly ink: Colour;
}

interface TileBase {
  readonly id: TileId;
  /** What the belt, the findings and a screen reader call it. */
  readonly name: string;
  /** Place in the widest band. */
  readonly place: Place;
  readonly look: TileLook;
  /** How much it matters beside the others, 1 to 5; left out: by its kind. */
  readonly weight?: number;
  /** Left out: none. */
  readonly badges?: readonly Badge[];
  /** Where a press anywhere on the tile leads; left out: nowhere. */
  readonly link?: string;
  /** Left out: the tile has a design of its own. */
  readonly recipe?: RecipeUse;
  /** Left out: it stays as it is. */
  readonly motion?: Motion;
  /** The least width at which it is legible, px; left out: by what is in it. */
  readonly neverBelow?: number;
  /** It belongs with the next tile in reading order: derived bands keep them beside each other. */
  readonly withNext?: true;
}

/** How a tile moves in the page; none of it for those who asked for less motion. */
export interface Motion {
  /** How it comes in, one tile after the other in reading order. */
  readonly opens: 'none' | 'fade' | 'rise' | 'grow';
  /** What it does when pointed at. */
  readonly points: 'none' | 'lift' | 'near';
}

export interface TextTile extends TileBase {
  readonly kind: 'text';
  readonly eyebrow: string;
  readonly heading: string;
  /** 1 to 6; left out: by where it comes in the page. */
  readonly headingLevel?: number;
  readonly body: Words;
}

export interface PictureTile extends TileBase {
  readonly kind: 'picture';
  /** Null: no picture chosen yet. */
  readonly picture: PictureId | null;
  /** The point that stays in view. */
  readonly focalPoint: FocalPoint;
  readonly caption: string;
  /** Left out: it covers the tile. */
  readonly shows?: 'cover' | 'contain';
  /** 1 to 8 times the size that covers the tile; left out: 1. */
  readonly zoom?: number;
  /** Which part shows, as `object-position`; left out: the one around the focal point. */
  readonly position?: FocalPoint;
  readonly tint?: Tint;
  /** The set of pictures that it opens large in, in the page; left out: as the collection says. */
  readonly enlarges?: string;
}

export interface StatTile extends TileBase {
  readonly kind: 'stat';
  readonly figure: string;
  readonly label: string;
}

export interface QuoteTile extends TileBase {
  readonly kind: 'quote';
  readonly words: string;
  readonly source: string;
}

export interface ActionTile extends TileBase {
  readonly kind: 'action';
  readonly label: string;
  /** Where it leads: `https:`, `mailto:`, `#…` or a relative address. */
  readonly address: string;
}

export interface MarksTile extends TileBase {
  readonly kind: 'marks';
  readonly marks: readonly Mark[];
  /** How high each is, px. */
  readonly markSize: number;
  /** Labels that are not shown are still read out. */
  readonly showLabels: boolean;
}

export interface FilmTile extends TileBase {
  readonly kind: 'film';
  /** Null: no film chosen yet. */
  readonly film: FilmId | null;
  /** What shows before it plays. */
  readonly poster: PictureId | null;
  readonly focalPoint: FocalPoint;
  readonly caption: string;
  /** By itself, again and again, or by controls that it shows. */
  readonly plays: 'itself' | 'controls';
}

/** A tile that holds tiles in an arrangement of its own. */
export interface GroupTile extends TileBase {
  readonly kind: 'group';
  /** In the widest band. */
  readonly arrangement: Arrangement;
  /** Its tiles in reading order. */
  readonly order: readonly TileId[];
}

export type Tile =
  TextTile | PictureTile | StatTile | QuoteTile | MarksTile | ActionTile | FilmTile | GroupTile;
export type TileKind = Tile['kind'];
