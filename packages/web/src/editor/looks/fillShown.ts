import {
  colourOf,
  faintCss,
  gradientCss,
  isGradient,
  type Fill,
  type Known,
  type TileLook,
} from '@noria/core';
import { addressFor } from '../../api/pictures';

/**
 * What a tile is filled with as CSS, for swatches and thumbnails outside of the stage: names are followed to
 * their values, and what lets through stands on the background of the collection.
 */
export function fillShown(known: Known, { fill, over = [] }: Pick<TileLook, 'fill' | 'over'>): string {
  const { namedLooks, look } = known;
  const layers = [...over.map((layer) => layer.fill), fill].flatMap((each) => shownAs(known, each));
  const ground = look && (layers.length > 1 || isSheer(fill)) ? colourOf(namedLooks, look.background) : null;
  if (layers.length === 0) return 'transparent';
  if (layers.length === 1 && ground === null) return layers.join('');
  return [...layers.map(asImage), ...(ground === null ? [] : [ground])].join(', ');
}

const isSheer = (fill: Fill) =>
  typeof fill === 'object' &&
  (isGradient(fill) ? fill.stops.some(({ opacity = 1 }) => opacity < 1) : fill.kind === 'plain');

const asImage = (layer: string) =>
  /[-(]gradient|^url/.test(layer) ? layer : `linear-gradient(${layer}, ${layer})`;

function shownAs(known: Known, fill: Fill): string[] {
  const { namedLooks, pictures } = known;
  if (fill === 'none') return [];
  if (typeof fill === 'string') return [colourOf(namedLooks, fill)];
  if (isGradient(fill)) {
    const stops = fill.stops.map((stop) => ({ ...stop, colour: colourOf(namedLooks, stop.colour) }));
    return [gradientCss({ ...fill, stops }, namedLooks)];
  }
  if (fill.kind === 'plain') return [faintCss(colourOf(namedLooks, fill.colour), fill.opacity)];
  const { tint } = fill;
  const veil: Fill = isGradient(tint) ? tint : { kind: 'plain', ...tint };
  const picture = pictures[fill.kind === 'picture' ? fill.picture : (fill.poster ?? '')];
  return [
    ...(isGradient(tint) || tint.opacity > 0 ? shownAs(known, veil) : []),
    picture ? `url("${addressFor(picture, 320)}") center / ${fill.fit ?? 'cover'} no-repeat` : '#999999',
  ];
}
