import { CLEAR, composed, hexOf, rgbOf, type Sheer } from '../../look/blend.js';
import { contrast } from '../../look/contrast.js';
import { colourOf, tileGrows } from '../../look/named.js';
import { byBounds, byDetails, type Details } from '../../look/detail.js';
import {
  byRaster,
  isGuessed,
  paintedBy,
  paintsOf,
  picturesPaintedBy,
  type ColoursOfPicture,
  type Painter,
  type Spot,
} from '../../look/painted.js';
import { placeIn, type Band } from '../../document/bands.js';
import { hasWords } from '../fit/needs.js';
import { textColourOf } from '../../look/textColour.js';
import { whileSame } from '../../memo.js';
import { wordPlaces, type WordPlace } from '../../parts/wordPlaces.js';
import type { Layout, LaidOutTile } from '../../arrangements/kind.js';
import type { CollectionDocument, Tile, TileId, TileLook } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** At so many places along a line of words, and over its height, the colours are taken. */
const ALONG = 9;
const OVER = 3;
/** In pictures of which every px is known, places of so many px are looked at, one beside the other. */
const PATCH = { x: 8, y: 3 };

/** A tile as it is painted: where it lies, px from the outermost border box, and with what. */
interface Painted {
  readonly at: LaidOutTile;
  readonly tile: Tile;
  /** What is painted, the lowest first. */
  readonly lies: readonly Pick<TileLook, 'fill' | 'over'>[];
  /** Whether a picture is in it of which is not known what it is at each place. */
  readonly isGuessed: boolean;
  /** Whether a picture is in it of which every px is known. */
  readonly isDetailed: boolean;
}

export interface ContrastOptions {
  /** Whose words are meant; left out: every tile’s. */
  readonly ids?: ReadonlySet<TileId>;
  /** Where tiles lie and how large they are is rounded to so many px, and what was worked out once is kept; left out: neither. */
  readonly raster?: number;
  /** Every px of pictures, by their hashes; left out: they are as the collection has them, in a few px. */
  readonly details?: Details | undefined;
  /** A ratio beyond which nobody asks how much more it is: such words are not looked at any closer. */
  readonly enough?: number;
  readonly measurer: TextMeasurer;
}

/** How closely it is looked. */
interface Looking {
  readonly measurer: TextMeasurer;
  readonly details: Details;
  readonly enough: number;
}

const EXTREMES = [1, 2] as const;
const NO_DETAILS: Details = new Map();

/**
 * The least contrast of the words of tiles to what is behind them where they stand, 1 to 21 (WCAG 2.2,
 * 1.4.3): the fill of the tile and the layers over it, what of other tiles it lies over, the groups around
 * it, and the background of the collection.
 * @param looks the collection with the looks of the band
 * @param layout at a width of the page, px
 * @returns nothing for tiles without words
 * @throws whatever the measurer throws
 */
export function contrastsAt(
  looks: CollectionDocument,
  layout: Layout,
  page: number,
  band: Band,
  { ids, raster, details = NO_DETAILS, enough = Infinity, measurer }: ContrastOptions,
): ReadonlyMap<TileId, number> {
  const found = new Map<TileId, number>();
  const painted = paintedIn(looks, layout, band.index, details);
  const under = underIn(painted);
  painted.forEach(({ at, tile }, k) => {
    if ((ids && !ids.has(tile.id)) || tile.kind === 'group' || !hasWords(tile)) return;
    const behind = under(k);
    const worked = (stack: readonly Painted[]) => leastIn(looks, stack, page, { measurer, details, enough });
    let least: number;
    if (raster === undefined) least = worked(behind);
    else {
      const rounded = behind.map((each) => ({ ...each, at: roundedTo(raster, each.at, at) }));
      const { pictures, namedLooks, look, films, icons } = looks;
      const of = [
        measurer,
        details,
        enough,
        pictures,
        namedLooks,
        look,
        films,
        icons,
        ...behind.map((each) => each.tile),
      ];
      const known = kept(tile, of, () => new Map<string, number>());
      const key = [
        tileGrows(looks, tile) ? page : 0,
        ...rounded.flatMap((each) => [each.at.x, each.at.y, each.at.inlineSize, each.at.blockSize]),
      ].join(' ');
      least = known.get(key) ?? worked(rounded);
      known.set(key, least);
    }
    if (least < Infinity) found.set(tile.id, least);
  });
  return found;
}

const kept = whileSame<Tile, Map<string, number>>();

/** Where a tile lies from another one, and how large it is, rounded. */
const roundedTo = (raster: number, at: LaidOutTile, from: LaidOutTile): LaidOutTile => {
  const round = (px: number) => Math.round(px / raster) * raster;
  return {
    ...at,
    x: round(at.x - from.x),
    y: round(at.y - from.y),
    inlineSize: Math.max(raster, round(at.inlineSize)),
    blockSize: Math.max(raster, round(at.blockSize)),
  };
};

/** The least contrast of the words of the topmost of tiles that lie over each other; Infinity where it has none. */
function leastIn(
  looks: CollectionDocument,
  stack: readonly Painted[],
  page: number,
  { measurer, details, enough }: Looking,
): number {
  const { at, tile } = stack.at(-1) as Painted;
  const ground: Sheer = { colour: rgbOf(colourOf(looks.namedLooks, looks.look.background)), alpha: 1 };
  const textColour = textColourOf(looks, tile);
  const isDetailed = stack.some((each) => each.isDetailed);
  // What sticks out of a tile is cut off there.
  const places = wordPlaces(looks, tile, at, page, measurer).map((place) => within(place, at));
  const leastBy = (colours: ColoursOfPicture) => {
    const painters = stack.map((each) => {
      const lain = each.isDetailed ? onPx(each) : each;
      return { at: lain.at, paint: painterOf(looks, lain, colours) };
    });
    return (spots: Iterable<Spot>) => {
      let found = Infinity;
      for (const spot of spots) {
        const [x, y] = [at.x + spot.x, at.y + spot.y];
        const colour = painters.reduce<Sheer>(
          (behind, each) =>
            isOn(each.at, x, y)
              ? composed(behind, each.paint(moved(spot, at.x - each.at.x, at.y - each.at.y)))
              : behind,
          ground,
        );
        found = Math.min(found, contrast(textColour, hexOf(colour.colour)));
      }
      return found;
    };
  };
  if (!isDetailed) {
    const guesses = stack.some((each) => each.isGuessed) ? ([0, ...EXTREMES] as const) : ([0] as const);
    const found = guesses.map((guess) => leastBy(byRaster(guess)));
    return Math.min(...found.flatMap((least) => places.map((place) => least(spotsIn(place)))));
  }
  return Math.min(
    ...EXTREMES.flatMap((which) => {
      const [bounded, exact] = [leastBy(byBounds(details, which)), leastBy(byDetails(details, which))];
      return places.map((place) => {
        // With the extreme of the whole line at each of its spots, it is hardly less than this anywhere.
        const bound = enough < Infinity ? bounded(linesIn(place)) : 0;
        return bound >= enough ? bound : exact(patchesIn(place, at));
      });
    }),
  );
}

/** How high the strips are in which tiles are looked for that others lie over, px. */
const STRIP = 256;

/** The tiles that one of them lies over, the lowest first, and itself. */
function underIn(painted: readonly Painted[]): (k: number) => readonly Painted[] {
  const strips = new Map<number, number[]>();
  const stripsOf = ({ y, blockSize }: LaidOutTile) => {
    const [from, to] = [Math.floor(y / STRIP), Math.floor((y + blockSize) / STRIP)];
    return Array.from({ length: to - from + 1 }, (_, k) => from + k);
  };
  painted.forEach(({ at }, k) => {
    for (const strip of stripsOf(at)) {
      const those = strips.get(strip);
      if (those) those.push(k);
      else strips.set(strip, [k]);
    }
  });
  return (k) => {
    const { at } = painted[k] as Painted;
    const near = new Set(stripsOf(at).flatMap((strip) => strips.get(strip) ?? []));
    return [...near]
      .filter((each) => each === k || (each < k && meet((painted[each] as Painted).at, at)))
      .sort((a, b) => a - b)
      .map((each) => painted[each] as Painted);
  };
}

/** All tiles in the order in which they are painted, groups before what is in them. */
function paintedIn(looks: CollectionDocument, layout: Layout, band: number, details: Details): Painted[] {
  const visit = (inner: Layout, x: number, y: number): Painted[] => {
    const placed = inner.tiles.flatMap((at) => {
      const tile = looks.tiles[at.id];
      return tile
        ? [{ at: { ...at, x: at.x + x, y: at.y + y }, tile, place: placeIn(looks, tile, band) }]
        : [];
    });
    const inOrder = placed.toSorted((a, b) => a.place.layer - b.place.layer || a.place.order - b.place.order);
    return inOrder.flatMap(({ at, tile }) => {
      const group = inner.groups[tile.id];
      return [asPainted(looks, tile, at, details), ...(group ? visit(group, at.x, at.y) : [])];
    });
  };
  return visit(layout, 0, 0);
}

function asPainted(looks: CollectionDocument, tile: Tile, at: LaidOutTile, details: Details): Painted {
  const lies = paintsOf(tile);
  const isDetailed = lies
    .flatMap(picturesPaintedBy)
    .some((picture) => details.has(looks.pictures[picture]?.hash ?? ''));
  return { at, tile, lies, isDetailed, isGuessed: lies.some((look) => isGuessed(looks, look)) };
}

/** What a tile is painted with at each place of it. */
function painterOf(looks: CollectionDocument, { at, lies }: Painted, colours: ColoursOfPicture): Painter {
  const painters = lies.map((look) => paintedBy(looks, look, at, colours));
  return (spot) => painters.reduce<Sheer>((under, paint) => composed(under, paint(spot)), CLEAR);
}

/** A tile where browsers paint it, at whole px of the page (CSS Backgrounds 3 leaves that to them). */
function onPx(painted: Painted): Painted {
  const { at } = painted;
  const [x, y] = [Math.round(at.x), Math.round(at.y)];
  const inlineSize = Math.max(1, Math.round(at.x + at.inlineSize) - x);
  const blockSize = Math.max(1, Math.round(at.y + at.blockSize) - y);
  return { ...painted, at: { ...at, x, y, inlineSize, blockSize } };
}

/** The part of a line that lies in its tile. */
function within(place: WordPlace, at: LaidOutTile): WordPlace {
  const [x, y] = [Math.max(0, place.x), Math.max(0, place.y)];
  return {
    x,
    y,
    inlineSize: Math.min(at.inlineSize, place.x + place.inlineSize) - x,
    blockSize: Math.min(at.blockSize, place.y + place.blockSize) - y,
  };
}

function* spotsIn({ x, y, inlineSize, blockSize }: WordPlace) {
  if (inlineSize <= 0 || blockSize <= 0) return;
  for (let u = 0; u < ALONG; u++)
    for (let v = 0; v < OVER; v++)
      yield {
        x: x + (inlineSize * u) / (ALONG - 1),
        y: y + (blockSize * v) / (OVER - 1),
      };
}

/** Spots of a line, at each of which all of it is meant. */
function* linesIn(place: WordPlace): Generator<Spot> {
  const part = {
    left: place.x,
    top: place.y,
    right: place.x + place.inlineSize,
    bottom: place.y + place.blockSize,
  };
  for (const spot of spotsIn(place)) yield { ...spot, part };
}

/** A spot as it is seen from a tile that lies elsewhere. */
const moved = ({ x, y, part }: Spot, right: number, down: number): Spot => ({
  x: x + right,
  y: y + down,
  ...(part && {
    part: {
      left: part.left + right,
      top: part.top + down,
      right: part.right + right,
      bottom: part.bottom + down,
    },
  }),
});

/** Patches that cover the px of the page that lie wholly in a line of words. */
function* patchesIn(place: WordPlace, at: LaidOutTile): Generator<Spot> {
  const [x, y] = [Math.ceil(at.x + place.x) - at.x, Math.ceil(at.y + place.y) - at.y];
  const inlineSize = Math.floor(at.x + place.x + place.inlineSize) - at.x - x;
  const blockSize = Math.floor(at.y + place.y + place.blockSize) - at.y - y;
  if (inlineSize <= 0 || blockSize <= 0) return;
  for (let column = 0; column < inlineSize; column += PATCH.x)
    for (let row = 0; row < blockSize; row += PATCH.y) {
      const [left, top] = [x + column, y + row];
      const [right, bottom] = [
        x + Math.min(inlineSize, column + PATCH.x),
        y + Math.min(blockSize, row + PATCH.y),
      ];
      yield { x: (left + right) / 2, y: (top + bottom) / 2, part: { left, top, right, bottom } };
    }
}

const isOn = (at: LaidOutTile, x: number, y: number) =>
  x >= at.x && x <= at.x + at.inlineSize && y >= at.y && y <= at.y + at.blockSize;

const meet = (a: LaidOutTile, b: LaidOutTile) =>
  a.x < b.x + b.inlineSize && b.x < a.x + a.inlineSize && a.y < b.y + b.blockSize && b.y < a.y + a.blockSize;
