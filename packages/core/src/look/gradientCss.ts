import { colourOf } from './named.js';
import { faintCss, percentCss, short } from './css.js';
import { isTurned } from './paints.js';
import type { Gradient, GradientStop, NamedLooks, RadialGradient } from '../document/look.js';

/**
 * A gradient as an image (CSS Images 4, section 3).
 * @param looks the named looks that a picture of it needs written out: CSS turns no ellipse
 */
export function gradientCss(gradient: Gradient, looks: NamedLooks | undefined): string {
  const stops = gradient.stops
    .map(({ colour, at, opacity = 1 }) => `${faintCss(colour, opacity)} ${percentCss(at)}`)
    .join(', ');
  // What `color-mix` makes is mixed in Oklab otherwise (CSS Color 4, section 12.2), other than in what is drawn of it.
  const space = gradient.stops.some(({ opacity = 1 }) => opacity < 1) ? ' in srgb' : '';
  if (gradient.kind === 'linear') return `linear-gradient(${short(gradient.angle)}deg${space}, ${stops})`;
  const at = `at ${percentCss(gradient.x)} ${percentCss(gradient.y)}`;
  if (gradient.kind === 'conic')
    return `conic-gradient(from ${short(gradient.angle)}deg ${at}${space}, ${stops})`;
  if (isTurned(gradient)) return turnedCss(gradient, looks);
  const { radii } = gradient;
  const shape = radii ? `${percentCss(radii.x)} ${percentCss(radii.y)}` : 'circle';
  return `radial-gradient(${shape} ${at}${space}, ${stops})`;
}

/** How many times the reach of an ellipse its picture is painted: beyond every tile’s far corner. */
const BEYOND = 20;

/**
 * An ellipse that is turned, drawn as an image: radii are shares of each axis of the tile, and turn as they
 * are on the screen. All of the image is one box, so that what lies outside of the ellipse is its last stop.
 */
function turnedCss(
  { x, y, radii, angle, stops }: Required<RadialGradient>,
  looks: NamedLooks | undefined,
): string {
  const times = BEYOND / Math.min(1, radii.x, radii.y);
  const reach = { x: radii.x * times, y: radii.y * times };
  const stop = ({ colour, at, opacity = 1 }: GradientStop) =>
    `<stop offset='${short(at)}' stop-color='${colourOf(looks, colour)}'${opacity < 1 ? ` stop-opacity='${short(opacity)}'` : ''}/>`;
  const svg = [
    `<svg xmlns='http://www.w3.org/2000/svg' width='100%' height='100%'>`,
    `<radialGradient id='g' r='${Number((0.5 / times).toPrecision(6))}'>${stops.map(stop).join('')}</radialGradient>`,
    `<svg x='${percentCss(x)}' y='${percentCss(y)}' overflow='visible'>`,
    `<rect x='${percentCss(-reach.x)}' y='${percentCss(-reach.y)}' width='${percentCss(2 * reach.x)}' height='${percentCss(2 * reach.y)}' transform='rotate(${short(angle)})' fill='url(#g)'/>`,
    `</svg></svg>`,
  ].join('');
  return `url("data:image/svg+xml,${svg.replace(/[%#<>]/g, (sign) => encodeURIComponent(sign))}")`;
}
