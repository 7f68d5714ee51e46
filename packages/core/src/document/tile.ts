/** A tile: its place, its look and what is in it. */

import type { Arrangement, WrittenLength } from './arrangement.js';
import type { RecipeUse } from './content.js';
import type { TileId } from './ids.js';
import type { Colour, StyleId, TileLook } from './look.js';
import type { Part } from './parts.js';

export interface Pin {
  readonly column: number;
  readonly row: number;
}

/** Where a tile lies in its cells along one axis; `fill` makes it as large as they are. */
export type Lie = 'stretch' | 'start' | 'center' | 'end';

/** How a tile fills its place; a size of its own, 100 % being that of its cells, or null: by its content. */
export interface Fit {
  readonly inline: Lie;
  readonly block: Lie;
  readonly inlineSize: WrittenLength | null;
  readonly blockSize: WrittenLength | null;
}

/** A tile's place with everything said. */
export interface WholePlace {
  readonly columnSpan: number;
  readonly rowSpan: number;
  /** Null: the tile is free and flows in reading order. A pin is inherited where its column is there. */
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
  /** The modules of a mosaic that it is locked in; null: it goes where there is room. Never inherited. */
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
  /** What was worked out for a pin that the band inherits; null: the tile flows here. Left out: the pin holds. */
  readonly derivedPin?: Pin | null;
}

/** A small thing at a corner or edge of a tile; it grows away from there. */
export interface Badge {
  /** Tells it apart from the other badges of its tile; filled in where it is left out. */
  readonly id?: string;
  readonly words: string;
  readonly inline: Exclude<Lie, 'stretch'>;
  readonly block: Exclude<Lie, 'stretch'>;
  readonly fill: Colour;
  readonly textColour: Colour;
}

interface TileBase {
  readonly id: TileId;
  /** What the belt, the findings and a screen reader call it; left out: by what is in it. */
  readonly name?: string;
  /** Place in the widest band. */
  readonly place: Place;
  readonly look: TileLook;
  /** How much it matters beside the others, 1 to 5; left out: by what is in it. */
  readonly weight?: number;
  /** Left out: none. */
  readonly badges?: readonly Badge[];
  /** Where a press anywhere on the tile leads; left out: nowhere. */
  readonly link?: string;
  /** The style that it follows; left out, or not there: none. */
  readonly style?: StyleId;
  /** Left out: the tile has a design of its own. */
  readonly recipe?: RecipeUse;
  /** Left out: it stays as it is. */
  readonly motion?: Motion;
  /** The least width at which it is legible, px; left out: by what is in it. */
  readonly minimumWidth?: number;
  /** It belongs with the next tile in reading order: derived bands keep them beside each other. */
  readonly keepWithNext?: true;
}

/** How a tile moves in the page; none of it for those who asked for less motion. */
export interface Motion {
  /** How it comes in, one tile after the other in reading order. */
  readonly entrance: 'none' | 'fade' | 'rise' | 'grow';
  /** What it does when pointed at. */
  readonly hover: 'none' | 'lift' | 'zoom';
}

/** A tile that holds parts: what they are says what it is in the page. */
export interface Card extends TileBase {
  readonly kind: 'card';
  /** In the order in which they are read. */
  readonly parts: readonly Part[];
}

/** A tile that holds tiles in an arrangement of its own. */
export interface GroupTile extends TileBase {
  readonly kind: 'group';
  /** In the widest band. */
  readonly arrangement: Arrangement;
  /** Its tiles in reading order. */
  readonly order: readonly TileId[];
}

export type Tile = Card | GroupTile;
