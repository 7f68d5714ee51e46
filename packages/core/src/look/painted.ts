import { CLEAR, composed, rgbOf, type Rgb, type Sheer } from './blend.js';
import { cropIn, scaleIn, type SlotSize } from './crop.js';
import { colourOf } from './named.js';
import { mediaOf } from '../document/card.js';
import { isGradient, isMedia, isTurned, pictureBehind } from './paints.js';
import { colourIn, rasterOf } from './raster.js';
import type { Blend, Fill, Gradient, NamedLooks, TileLook, Veil } from '../document/look.js';
import type { CollectionDocument, PictureAsset, Tile, TileId } from '../document/types.js';

/** What looks refer to. */
export interface Known {
  readonly pictures: CollectionDocument['pictures'];
  readonly namedLooks?: NamedLooks | undefined;
  /** What lies behind the tiles; left out: white. */
  readonly look?: Pick<CollectionDocument['look'], 'background'> | undefined;
  /** Groups among them lie behind what they hold; left out: no tile lies in one. */
  readonly tiles?: CollectionDocument['tiles'] | undefined;
  /** The tiles over which each tile lies, the lowest first; left out: no tile lies over another one. */
  readonly lower?: ReadonlyMap<TileId, readonly Lower[]> | undefined;
}

/** A tile over which another one lies. */
export interface Lower {
  readonly tile: Tile;
  /** Whether it is behind all of the other one, and not a part of it. */
  readonly isBehindAll: boolean;
}

/** A spot in a tile, px from its top left. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  /** What is meant of pictures; left out: what is at the spot. */
  readonly part?: Extent;
}

/** A part of a tile, px from its top left, or of a picture, in shares of it. */
export interface Extent {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What is painted at a place. */
export type Painter = (at: Spot) => Sheer;

/** Which of the colours of a picture is taken of which nothing is known but these: its mean, or an extreme. */
export type Guess = 0 | Extreme;
/** The darkest, or the lightest. */
export type Extreme = 1 | 2;

/** The colour of a picture at a point of it, or in a part around it; all in shares of it. */
type ColourIn = (x: number, y: number, part: Extent) => Rgb;
/**
 * How it is told what colours a picture has.
 * @param columns in how many px it is drawn from side to side, all of it
 */
export type ColoursOfPicture = (picture: PictureAsset | undefined, columns: number) => ColourIn;

/** By the few px that a collection keeps of a picture; where there are none, one colour everywhere. */
export const byRaster =
  (guess: Guess): ColoursOfPicture =>
  (picture) => {
    const raster = picture?.raster === undefined ? null : rasterOf(picture.raster);
    if (raster) return (x, y) => colourIn(raster, x, y);
    const colour = rgbOf((picture?.colours ?? ANY_PICTURE)[guess] ?? ANY_PICTURE[guess]);
    return () => colour;
  };

const NORMAL: Blend = 'normal';

/** All of a picture. */
const WHOLE: Extent = { left: 0, top: 0, right: 1, bottom: 1 };
/** What a picture may be when nothing is known of it: its mean, its darkest and its lightest colour. */
const ANY_PICTURE = ['#808080', '#000000', '#ffffff'] as const;

/**
 * What is painted behind a tile’s contents at each place, by its fill and the layers over it; what lies
 * behind the tile is not in it. Gradients as CSS Images 4 has them, layers mixed as CSS Compositing 1 has it.
 * @param size of the tile, px
 */
export function paintedBy(
  known: Known,
  { fill, over = [] }: Pick<TileLook, 'fill' | 'over'>,
  size: SlotSize,
  colours: ColoursOfPicture = byRaster(0),
): Painter {
  const layers = [
    ...fillPainters(known, fill, size, colours).map((paint) => ({ paint, blend: NORMAL })),
    ...over
      .toReversed()
      .flatMap(({ fill: own, blend = 'normal' }) =>
        fillPainters(known, own, size, colours).map((paint) => ({ paint, blend })),
      ),
  ];
  return (at) =>
    layers.reduce<Sheer>((behind, { paint, blend }) => composed(behind, paint(at), blend), CLEAR);
}

/** Whether it is not known what the pictures behind a tile are at each place. */
export const isGuessed = ({ pictures }: Known, look: Pick<TileLook, 'fill' | 'over'>): boolean =>
  picturesPaintedBy(look).some((picture) => pictures[picture]?.raster === undefined);

/** The pictures that are painted by a fill and the layers over it. */
export const picturesPaintedBy = ({ fill, over = [] }: Pick<TileLook, 'fill' | 'over'>): readonly string[] =>
  [fill, ...over.map((layer) => layer.fill)].flatMap((each) => shownBy(each) ?? []);

/** The picture that is painted; one that is not there where a film has none, and null where there is neither. */
const shownBy = (fill: Fill): string | null => (isMedia(fill) ? (pictureBehind(fill) ?? '') : null);

/** The layers of one fill, the lowest first. */
function fillPainters(known: Known, fill: Fill, size: SlotSize, colours: ColoursOfPicture): Painter[] {
  const { namedLooks, pictures } = known;
  if (fill === 'none') return [];
  if (typeof fill === 'string') return [even(namedLooks, fill, 1)];
  if (fill.kind === 'plain') return [even(namedLooks, fill.colour, fill.opacity)];
  if (isGradient(fill)) return [gradientPainter(namedLooks, fill, size)];
  const picture = pictures[shownBy(fill) ?? ''];
  return [picturePainter(picture, fill, size, colours), veilPainter(known, fill.tint, size)];
}

const NO_TINT = { colour: '#000000', opacity: 0 };

/** What a tile is painted with, the lowest first: a picture that fills it lies over its fill. */
export function paintsOf(tile: Tile): readonly Pick<TileLook, 'fill' | 'over'>[] {
  const media = mediaOf(tile);
  return media && 'picture' in media && media.picture !== null
    ? [tile.look, { fill: { ...media, tint: media.tint ?? NO_TINT } as Fill }]
    : [tile.look];
}

/** What is laid over a picture or film. */
export const veilPainter = ({ namedLooks }: Known, veil: Veil, size: SlotSize): Painter =>
  isGradient(veil) ? gradientPainter(namedLooks, veil, size) : even(namedLooks, veil.colour, veil.opacity);

function even(looks: NamedLooks | undefined, colour: string, alpha: number): Painter {
  const painted: Sheer = { colour: rgbOf(colourOf(looks, colour)), alpha };
  return () => painted;
}

/** How far along its stops a gradient is at a place (CSS Images 4, sections 3.1 to 3.3). */
function alongOf(gradient: Gradient, { inlineSize, blockSize }: SlotSize): (at: Spot) => number {
  if (gradient.kind === 'linear') {
    const turn = (gradient.angle * Math.PI) / 180;
    const [dx, dy] = [Math.sin(turn), -Math.cos(turn)];
    const length = Math.max(1e-9, Math.abs(inlineSize * dx) + Math.abs(blockSize * dy));
    return ({ x, y }) => ((x - inlineSize / 2) * dx + (y - blockSize / 2) * dy) / length + 0.5;
  }
  const middle = { x: gradient.x * inlineSize, y: gradient.y * blockSize };
  if (gradient.kind === 'conic')
    return ({ x, y }) => {
      const angle = (Math.atan2(x - middle.x, middle.y - y) * 180) / Math.PI - gradient.angle;
      return (((angle % 360) + 360) % 360) / 360;
    };
  const { radii, angle = 0 } = gradient;
  if (!radii) {
    const reach = Math.max(
      1e-9,
      ...[0, inlineSize].flatMap((x) => [0, blockSize].map((y) => Math.hypot(x - middle.x, y - middle.y))),
    );
    return ({ x, y }) => Math.hypot(x - middle.x, y - middle.y) / reach;
  }
  const turn = (-angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [rx, ry] = [Math.max(1e-9, radii.x * inlineSize), Math.max(1e-9, radii.y * blockSize)];
  return ({ x, y }) => {
    const [dx, dy] = [x - middle.x, y - middle.y];
    return Math.hypot((dx * cos - dy * sin) / rx, (dx * sin + dy * cos) / ry);
  };
}

/** A gradient's colour at each place: between stops in premultiplied sRGB (CSS Images 4, section 3.4.2). */
export function gradientPainter(looks: NamedLooks | undefined, gradient: Gradient, size: SlotSize): Painter {
  const along = alongOf(gradient, size);
  // A stop before one that comes earlier in the list stands where that does.
  let reached = -Infinity;
  const stops = gradient.stops.map(({ colour, at, opacity = 1 }) => ({
    at: (reached = Math.max(reached, at)),
    painted: { colour: rgbOf(colourOf(looks, colour)), alpha: opacity } satisfies Sheer,
  }));
  return (place) => {
    const at = along(place);
    const next = stops.findIndex((stop) => stop.at > at);
    if (next === -1) return stops.at(-1)?.painted ?? CLEAR;
    const [from, to] = [stops[next - 1], stops[next]];
    if (!from || !to) return to?.painted ?? CLEAR;
    return between(from.painted, to.painted, (at - from.at) / (to.at - from.at), isTurned(gradient));
  };
}

/**
 * @param isApart colours and opacities are mixed apart, as SVG 2 has it (section 14.2.4), which draws what is turned
 */
function between(from: Sheer, to: Sheer, share: number, isApart: boolean): Sheer {
  const alpha = from.alpha * (1 - share) + to.alpha * share;
  if (alpha === 0) return CLEAR;
  const [before, after] = isApart ? [1 - share, share] : [from.alpha * (1 - share), to.alpha * share];
  const colour = from.colour.map(
    (value, k) => (value * before + (to.colour[k] ?? 0) * after) / (before + after),
  );
  return { colour: colour as unknown as Rgb, alpha };
}

type Cropped = Parameters<typeof cropIn>[2];

/** A picture as it lies in its tile; one that is not known covers all of it. */
function picturePainter(
  picture: PictureAsset | undefined,
  crop: Cropped,
  size: SlotSize,
  colours: ColoursOfPicture,
): Painter {
  if (!picture) {
    const colour = colours(picture, size.inlineSize)(0.5, 0.5, WHOLE);
    return () => ({ colour, alpha: 1 });
  }
  const { x, y, width, height } = cropIn(picture, size, crop);
  const scale = scaleIn(picture, size, crop);
  // Where less than the tile is covered, the rest is clear.
  const [across, down] = [picture.inlineSize * width * scale, picture.blockSize * height * scale];
  const colour = colours(picture, picture.inlineSize * scale);
  const { position = crop.focalPoint } = crop;
  const [left, top] = [(size.inlineSize - across) * position.x, (size.blockSize - down) * position.y];
  const [inX, inY] = [
    (px: number) => x + ((px - left) / across) * width,
    (px: number) => y + ((px - top) / down) * height,
  ];
  return ({ x: atX, y: atY, part }) => {
    const [u, v] = [(atX - left) / across, (atY - top) / down];
    if (u < 0 || u > 1 || v < 0 || v > 1) return CLEAR;
    const seen = part
      ? { left: inX(part.left), top: inY(part.top), right: inX(part.right), bottom: inY(part.bottom) }
      : { left: inX(atX), top: inY(atY), right: inX(atX), bottom: inY(atY) };
    return { colour: colour(inX(atX), inY(atY), seen), alpha: 1 };
  };
}
