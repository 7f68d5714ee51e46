/** What fills, paints and borders are, without how they are drawn. */

import type { PictureId } from '../document/ids.js';
import type {
  Border,
  Fill,
  FilmFill,
  FourSides,
  Gradient,
  Paint,
  PictureFill,
  RadialGradient,
  TileLook,
  Veil,
} from '../document/look.js';

export const isGradient = (paint: Fill | Veil | null | undefined): paint is Gradient =>
  typeof paint === 'object' && paint !== null && 'stops' in paint;

/** Whether a gradient is an ellipse that is turned, which CSS has no words for. */
export const isTurned = (gradient: Gradient): gradient is Required<RadialGradient> =>
  gradient.kind === 'radial' && gradient.radii !== undefined && (gradient.angle ?? 0) % 180 !== 0;

export const isPictureFill = (fill: Fill | null | undefined): fill is PictureFill =>
  typeof fill === 'object' && fill?.kind === 'picture';

/** A picture or film that is an element behind the contents: no background plays, or is larger than its tile. */
export type Behind = FilmFill | PictureFill;

export const behindIn = (fill: Fill | null | undefined): Behind | null =>
  typeof fill === 'object' &&
  fill !== null &&
  (fill.kind === 'film' || (fill.kind === 'picture' && (fill.zoom ?? 1) !== 1))
    ? fill
    : null;

/** The picture that a fill shows, the poster of a film too; null where there is none. */
export const pictureBehind = (fill: Fill): PictureId | null =>
  isMedia(fill) ? (fill.kind === 'film' ? fill.poster : fill.picture) : null;

/** Whether a veil shows anything of itself. */
export const veils = (veil: Veil | undefined): veil is Veil =>
  veil !== undefined &&
  (isGradient(veil) ? veil.stops.some(({ opacity = 1 }) => opacity > 0) : veil.opacity > 0);

/** Whether a fill is a picture or a film. */
export const isMedia = (fill: Fill): fill is PictureFill | FilmFill =>
  typeof fill === 'object' && 'focalPoint' in fill;

const paintLetsThrough = (paint: Paint): boolean =>
  typeof paint === 'string'
    ? paint === 'none'
    : paint.kind === 'plain'
      ? paint.opacity < 1
      : paint.stops.some(({ opacity = 1 }) => opacity < 1);

/** Whether something behind a tile is seen through all that it is filled with; what a picture lets through is not looked at. */
export const letsThrough = ({ fill, over = [] }: Pick<TileLook, 'fill' | 'over'>): boolean =>
  [fill, ...over.map((layer) => layer.fill)].every((each) => !isMedia(each) && paintLetsThrough(each));

/** How wide a border is on each side, px. */
export const borderSides = (border: Border | undefined): FourSides => {
  const width = border?.width ?? 0;
  return typeof width === 'object'
    ? width
    : { blockStart: width, inlineEnd: width, blockEnd: width, inlineStart: width };
};

/** Whether a border is drawn on some side. */
export const hasBorder = (border: Border | undefined): border is Border =>
  Object.values(borderSides(border)).some((width) => width > 0);

/** An asset that a look names. */
export interface LookUse {
  readonly what: 'picture' | 'film';
  readonly id: string;
}

/** What a look says of what lies behind the contents, whole or in part. */
type Behinds = { readonly [F in 'fill' | 'over']?: TileLook[F] | null | undefined };

/** The pictures and films that a look puts behind the contents. */
export function usesInLook({ fill, over }: Behinds): LookUse[] {
  const found: LookUse[] = [];
  withLookAssets({ fill, over }, (what, id) => {
    found.push({ what, id });
    return id;
  });
  return found;
}

/** A look that names its pictures and films anew. */
export function withLookAssets<Look extends Behinds>(look: Look, to: Named): Look {
  const { fill, over } = look;
  return {
    ...look,
    ...(fill && { fill: fillWith(fill, to) }),
    ...(over && { over: over.map((layer) => ({ ...layer, fill: fillWith(layer.fill, to) })) }),
  };
}

type Named = (what: LookUse['what'], id: string) => string;

function fillWith<F extends Fill>(fill: F, to: Named): F {
  return isMedia(fill) ? (mediaWith(fill, to) as F) : fill;
}

function mediaWith(fill: Behind, to: Named): Behind {
  if (isPictureFill(fill)) return { ...fill, picture: to('picture', fill.picture) };
  const poster = fill.poster === null ? null : to('picture', fill.poster);
  return { ...fill, film: to('film', fill.film), poster };
}
