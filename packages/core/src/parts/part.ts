import type { Check } from '../document/checks.js';
import type {
  TileLook,
  Card,
  CollectionDocument,
  CollectionLook,
  FilmAsset,
  Part,
  PictureAsset,
  Tile,
} from '../document/types.js';
import type { Rule } from '../engine/css/rule.js';
import type { Attributes, PageElement, PageNode } from '../engine/html/node.js';
import type { Known } from '../look/painted.js';

/** How a picture is named in the page: the stage and the exported page reach its bytes differently. */
export interface PictureSources {
  readonly src: string;
  readonly srcset?: string;
  readonly sizes?: string;
}

export interface Sources {
  readonly picture: (picture: PictureAsset, tile: Tile) => PictureSources;
  /** The address of a picture that is always so many px wide. */
  readonly small: (picture: PictureAsset, inlineSize: number) => string;
  readonly film: (film: FilmAsset) => string;
  /** Elements say which part’s words they are (`data-words`), for who writes in them. Left out: they do not. */
  readonly marksWords?: true;
}

/** Where a picture behind a tile's contents is found, as a CSS image. */
export type PictureImage = (picture: PictureAsset, tile: Tile) => string;

/** What a part is written as HTML of. */
export interface PartInput {
  readonly document: CollectionDocument;
  readonly tile: Card;
  readonly sources: Sources;
  /** 1 to 6, of a part that is a heading. */
  readonly headingLevel: number;
  /** Where the tile leads, when this part is what says so; null: nothing to do with it. */
  readonly leads: string | null;
  /** What its element is called here; left out: as where it stands alone. */
  readonly element?: string | undefined;
  /** What its element says beside its own attributes: names that rules of the tile find it by. */
  readonly attributes: Attributes;
}

/** What a part's own rules are made of. */
export interface RulesInput {
  readonly known: Known;
  readonly tile: Card;
  readonly image: PictureImage;
  /** What its element is called in a style sheet. */
  readonly at: string;
}

/** The rules that all parts of a kind share in a collection, as CSS. */
export interface PartCss {
  /** Of what flows in a card. */
  readonly flow?: string;
  /** Of what fills a card, alone. */
  readonly fills?: string;
  /** Of what lies over that. */
  readonly over?: string;
  /** Of icons in one line. */
  readonly line?: string;
  /** Of the part in a card whose parts make no composition. */
  readonly apart?: string;
}

/** What a part shows or follows: `picture`, `film` and `icon` name assets of the collection. */
export type Refer = (what: 'picture' | 'film' | 'icon', id: string) => string;

/** A field of a part that a recipe leaves to each use. */
export interface SlotField {
  readonly field: string;
  /** What the slot is called. */
  readonly name: string;
  /** What it holds; a cell of a table can be words, an address or the name of a picture. */
  readonly holds: 'words' | 'address' | 'picture' | 'other';
  /** Whether its words may be rich ones. */
  readonly takesRich?: true;
  /** What a column of a table is likely called that fills it. */
  readonly likely?: RegExp;
}

/** What a part may show. */
export type Shown = Pick<CollectionDocument, 'pictures' | 'films'>;

/** What a part of a card has to say. */
export interface PartKind<P extends Part = Part> {
  readonly name: P['kind'];
  /** With its article, for messages: “A heading”. */
  readonly called: string;
  /** The fields of the file beside its id and kind, each with its check. */
  readonly fields: Readonly<Record<string, Check>>;
  /** Those that may be left out. */
  readonly optional?: readonly string[];
  /** What it is with nothing of its own yet. */
  readonly empty: Omit<P, 'id' | 'kind'>;
  /** The elements that it is written as; none where it is empty. */
  readonly html: (part: P, input: PartInput) => readonly PageNode[];
  readonly css: (look: CollectionLook) => PartCss;
  /** What it has of its own in a style sheet; left out: nothing. */
  readonly rules?: (part: P, input: RulesInput) => Rule[];
  /**
   * What its tile is wide enough for at least: its longest word, a short line of running words, all of
   * it in one line, or nothing.
   */
  readonly least: 'word' | 'line' | 'whole' | 'nothing';
  /** How much a tile matters beside others that holds it, 1 to 5. */
  readonly weight: number;
  /** In the order in which they are read. */
  readonly slots: readonly SlotField[];
  /** The part with every asset that it names named anew. Left out: it names none. */
  readonly refer?: (part: P, to: Refer) => P;
  /** The values in it that may follow a named look. Left out: none. */
  readonly looks?: (part: P) => readonly object[];
  /** Whether pictures in it have the size that the page says, whatever their own. */
  readonly sizesPictures?: true;
  /** Whether it is a heading of the page, and its level where it says one. Left out: it is none. */
  readonly heading?: (part: P) => { readonly level?: number | undefined } | null;
  /** Whether a card often does without its words, so that who writes on passes them over while they are empty. */
  readonly isExtra?: true;
  /** Whether it can be the link where its tile leads somewhere. */
  readonly canLead?: (part: P) => boolean;
  /** How heavy its large type is where nothing else is set; left out: it has none. */
  readonly largeWeight?: number;
  /** Its large type as a multiple of the collection's headings; left out: it has none, or as they are. */
  readonly headingTimes?: number;
  /** The list in it whose entries have ids, by its field, and what an entry is called. */
  readonly entries?: { readonly field: string; readonly what: 'icon' };
  /** Cut short for a thumbnail. */
  readonly short?: (part: P) => P;
  /** The part after it whose words belong to its own in what its tile is called: 7 huts. Left out: none. */
  readonly calledWith?: Part['kind'];
  /** What its tile is called where nothing in it has words; left out: nothing of this part. */
  readonly calls?: (part: P, assets: Shown) => string;
  /** The words that lie over it, and may be clipped; left out: none. */
  readonly over?: (part: P) => string;
}

/** What makes a card's element out of its parts. */
export interface CardContent {
  readonly document: CollectionDocument;
  readonly tile: Card;
  readonly sources: Sources;
  /** The attributes of the element. */
  readonly is: Attributes;
  /** What each part that is not empty is written as. */
  readonly parts: readonly (readonly PageNode[])[];
  /** A link over the whole tile, where no part of it is that. */
  readonly cover: PageElement | undefined;
  readonly badges: readonly PageElement[];
}

/** What a card can begin as. */
export type CompositionName = 'text' | 'picture' | 'stat' | 'quote' | 'icons' | 'action' | 'film';

/** A composition that a card can begin as. */
export interface Start extends Composition {
  readonly name: CompositionName;
}

/** What a card begins as: parts in order, and what element they are in the page together. */
export interface Composition {
  readonly name: string;
  /** The class of its element, which its shared rules go by. */
  readonly className: string;
  /** What a new tile of it is called. */
  readonly title: string;
  /** Its parts in order. A card with some of them, in this order, is of this composition. */
  readonly parts: readonly Part['kind'][];
  /** What they begin with, where that is not empty. */
  readonly begins?: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  /** How a tile of it begins that one adds by hand: its look, and words that say what goes there. Left out: as any. */
  readonly dressed?: {
    readonly look?: Partial<TileLook>;
    readonly begins?: Composition['begins'];
  };
  /** What the elements of parts are called in it. */
  readonly elements?: Readonly<Record<string, string>>;
  /** Whether its parts flow in the tile; else they fill it, and it has no look of contents. */
  readonly flows: boolean;
  /** Whether its words take the tile's text colour. */
  readonly takesTextColour: boolean;
  readonly write: (content: CardContent) => PageElement;
  /** Whether the tile's element is its only part itself, with nothing around it. Left out: never. */
  readonly isBare?: (tile: Card) => boolean;
  /** Whether the tile's element is itself a link, in large type. */
  readonly isLink?: true;
  /** Rules beside those of the tile's look; left out: none. */
  readonly rules?: (tile: Card, input: RulesInput) => Rule[];
}
