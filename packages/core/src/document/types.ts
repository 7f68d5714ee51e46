/** The document: what a `.noria.json` file holds. Every length is in CSS px unless a name says otherwise. */

export const FORMAT_VERSION = 1;

export type TileId = string;
export type PictureId = string;

/**
 * A CSS track size as written in the file: `72px`, `1fr`, `auto`, `minmax(200px, 1fr)`. Read with
 * `parseTrackSize`. A lone `fr` may shrink to nothing, as `minmax(0, 1fr)` does.
 */
export type TrackSize = string;

export interface Padding {
  readonly blockStart: number;
  readonly inlineEnd: number;
  readonly blockEnd: number;
  readonly inlineStart: number;
}

/** How high a grid is: by its content, so many px, or at least a share of the screen (0 to 4). */
export type GridHeight =
  | { readonly kind: 'content' }
  | { readonly kind: 'fixed'; readonly px: number }
  | { readonly kind: 'screen'; readonly share: number };

/** A bento: an explicit grid whose tiles span columns and rows. */
export interface BentoArrangement {
  readonly kind: 'bento';
  /** At least one track. */
  readonly columns: readonly TrackSize[];
  /** Explicit rows, from the first; may be empty. */
  readonly rows: readonly TrackSize[];
  /** Size of every row after the explicit ones, as `grid-auto-rows`. */
  readonly autoRows: TrackSize;
  readonly columnGap: number;
  readonly rowGap: number;
  readonly padding: Padding;
  /** `dense` lets later small tiles flow back into holes. */
  readonly flow: 'sparse' | 'dense';
  /** The widest the border box becomes before it is centred; null: as wide as the page. */
  readonly maxInlineSize: number | null;
  /** Left out: by its content. */
  readonly height?: GridHeight;
  /** Named areas, a line for each row of cells as in `grid-template-areas`; `.` is no area. Left out: none. */
  readonly areas?: readonly string[];
}

export type Arrangement = BentoArrangement;

/** The values of an arrangement that a band may set for itself. */
export type ArrangementValues = Omit<Arrangement, 'kind'>;

/** The cell at which a pinned tile is held; 1-based line numbers. */
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
}

/** A tile's place as the file says it: what is left out is no area, filling its cells, layer 0. */
export type Place = Pick<WholePlace, 'columnSpan' | 'rowSpan' | 'pin'> &
  Partial<Pick<WholePlace, 'area' | 'fit' | 'layer'>>;

/** A band below a breakpoint. What it does not set is carried from the next wider band. */
export interface NarrowerBand {
  readonly id: string;
  /** The breakpoint: the band holds the widths below it, down to the next one. */
  readonly below: number;
  readonly arrangement: Partial<ArrangementValues>;
  readonly tiles: Readonly<Record<TileId, Partial<Place>>>;
  /** What the band sets of the arrangements inside groups. */
  readonly groups?: Readonly<Record<TileId, Partial<ArrangementValues>>>;
}

export type Spread = 'start' | 'centre' | 'end' | 'between';

export interface TileLook {
  /** `#rrggbb`; what lies behind the content. */
  readonly fill: string;
  /** `#rrggbb`; the colour of words. */
  readonly ink: string;
  /** How the contents are spread down the tile. */
  readonly spread: Spread;
  /** Type size of heading, figure or quoted words, when it differs from the collection's. */
  readonly headingSize?: number;
  readonly bodySize?: number;
}

/** A point of a picture as shares of its width and height, 0 to 1 from the top left. */
export interface FocalPoint {
  readonly x: number;
  readonly y: number;
}

/** A small thing at a corner or edge of a tile; it grows away from there. */
export interface Badge {
  readonly words: string;
  readonly inline: Exclude<Lie, 'fill'>;
  readonly block: Exclude<Lie, 'fill'>;
  readonly fill: string;
  readonly ink: string;
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
}

export interface TextTile extends TileBase {
  readonly kind: 'text';
  readonly eyebrow: string;
  readonly heading: string;
  readonly body: string;
}

export interface PictureTile extends TileBase {
  readonly kind: 'picture';
  /** Null: no picture chosen yet. */
  readonly picture: PictureId | null;
  readonly focalPoint: FocalPoint;
  readonly caption: string;
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

/** A tile that holds tiles in an arrangement of its own. */
export interface GroupTile extends TileBase {
  readonly kind: 'group';
  /** In the widest band. */
  readonly arrangement: Arrangement;
  /** Its tiles in reading order. */
  readonly order: readonly TileId[];
}

export type Tile = TextTile | PictureTile | StatTile | QuoteTile | ActionTile | GroupTile;
export type TileKind = Tile['kind'];

export interface PictureAsset {
  readonly id: PictureId;
  readonly name: string;
  /** File name under `pictures/`, beside the document. */
  readonly file: string;
  /** SHA-256 of its bytes, in hexadecimal. */
  readonly hash: string;
  readonly mediaType: 'image/jpeg' | 'image/png' | 'image/webp';
  /** Natural size in picture px. */
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Empty: none written yet. */
  readonly alternativeText: string;
}

export interface CollectionLook {
  readonly ground: string;
  readonly radius: number;
  readonly tilePadding: number;
  readonly headingFamily: FamilyName;
  readonly bodyFamily: FamilyName;
  readonly headingSize: number;
  readonly bodySize: number;
}

export type FamilyName = 'Bricolage Grotesque' | 'Hanken Grotesk' | 'Martian Mono';

export interface CollectionDocument {
  readonly formatVersion: typeof FORMAT_VERSION;
  readonly name: string;
  /** BCP 47 tag of the words in the tiles. */
  readonly language: string;
  /** The arrangement of the widest band. */
  readonly arrangement: Arrangement;
  /** From wide to narrow. */
  readonly bands: readonly NarrowerBand[];
  readonly look: CollectionLook;
  /** Every tile by id, those in groups too; an `order` says where it comes. */
  readonly tiles: Readonly<Record<TileId, Tile>>;
  /** Reading order: the order of the page's source, the keyboard and screen readers. */
  readonly order: readonly TileId[];
  readonly pictures: Readonly<Record<PictureId, PictureAsset>>;
}
