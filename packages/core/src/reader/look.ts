import { hasPercent, resolveLength } from '../engine/css/length.js';
import { LIMITS } from '../document/limits.js';
import { paintOf, readColour, readGradient } from './paint.js';
import { parseLength, splitArguments, type Units } from '../engine/css/parseLength.js';
import type { BoxStyle } from '../engine/box/style.js';
import type { Cascaded } from '../engine/html/cascade.js';
import type { CssNode } from 'css-tree';
import type { Fill, FourCorners, FourSides, Measure, Shadow, TileLook } from '../document/look.js';
import type { Say } from './arrangement.js';

/** The width of page that shares are taken of, px. */
const PAGE = 1280;

/** What an element looks like of what tiles can look like. */
type ReadLook = Pick<TileLook, 'fill' | 'radius' | 'padding'> & Partial<TileLook>;

/**
 * What an element looks like, as a tile has it.
 * @param say what of it a tile can't have
 */
export function readLook({ values }: Cascaded, style: BoxStyle, units: Units, say: Say): ReadLook {
  const textColour = readColour(values.get('color')?.[0]);
  const shadows = shadowsOf(values.get('box-shadow') ?? [], units, say);
  const [outer, inner] = [
    shadows.filter(({ isInner }) => !isInner),
    shadows.filter(({ isInner }) => isInner),
  ];
  return {
    fill: fillOf(values, units, say),
    ...(textColour && { textColour: textColour.colour }),
    radius: radiusOf(values.get('border-radius') ?? [], units, say),
    padding: paddingOf(style, say),
    ...(outer.length > 0 && { outerShadow: outer.map(({ shadow }) => shadow) }),
    ...(inner.length > 0 && { innerShadow: inner.map(({ shadow }) => shadow) }),
  };
}

/** A colour or gradient behind an element; the uppermost where there are several. */
function fillOf(values: Cascaded['values'], units: Units, say: Say): Fill {
  const property = ['background-image', 'background', 'background-color'].find((each) => values.has(each));
  if (property === undefined) return 'none';
  const nodes = values.get(property) ?? [];
  for (const node of nodes) {
    const gradient = readGradient(node, units);
    if (gradient) return gradient;
    if (node.type === 'Url' || (node.type === 'Function' && node.name.endsWith('gradient')))
      say(property, 'has an image that is left out: choose it for the tile');
  }
  for (const node of [...nodes, ...(values.get('background-color') ?? [])]) {
    const colour = readColour(node);
    if (colour) return colour.opacity === 0 ? 'none' : paintOf(colour);
  }
  return 'none';
}

const within = (px: number, most: number) => Math.round(Math.min(most, Math.max(0, px)) * 100) / 100;

function radiusOf(nodes: readonly CssNode[], units: Units, say: Say): Measure | FourCorners {
  const round = nodes.findIndex((each) => each.type === 'Operator');
  if (round >= 0) say('border-radius', 'is elliptic; a corner here is round');
  const read = (round < 0 ? nodes : nodes.slice(0, round)).map((node) => {
    const length = parseLength(node, units);
    if (length === null || typeof length === 'number') return within(length ?? 0, LIMITS.radius);
    say('border-radius', 'is a share of the tile; it is as round as a corner can be');
    return LIMITS.radius;
  });
  const [startStart = 0, startEnd = startStart, endEnd = startStart, endStart = startEnd] = read;
  return [startEnd, endEnd, endStart].every((each) => each === startStart)
    ? startStart
    : { startStart, startEnd, endEnd, endStart };
}

function paddingOf({ padding }: BoxStyle, say: Say): Measure | FourSides<Measure> {
  // What a share is of is not known in a tile.
  if (padding.some(hasPercent))
    say('padding', 'is a share of the page; it is the px that it comes to at 1280 px');
  const [blockStart, inlineEnd, blockEnd, inlineStart] = padding.map((each) =>
    within(resolveLength(each, PAGE), LIMITS.padding),
  ) as [number, number, number, number];
  return [inlineEnd, blockEnd, inlineStart].every((each) => each === blockStart)
    ? blockStart
    : { blockStart, inlineEnd, blockEnd, inlineStart };
}

function shadowsOf(nodes: readonly CssNode[], units: Units, say: Say) {
  const read = splitArguments(nodes).flatMap((part) => {
    const lengths = part.flatMap((node) => {
      const length = parseLength(node, units);
      return typeof length === 'number' ? [length] : [];
    });
    if (lengths.length < 2) return [];
    const [x = 0, y = 0, blur = 0, spread = 0] = lengths;
    const drawn = part.map(readColour).find((each) => each !== null);
    if (!drawn) say('box-shadow', 'has no colour of its own; it is black now');
    const { colour, opacity } = drawn ?? { colour: '#000000', opacity: 1 };
    const bounded = (px: number, most: number) => Math.max(-most, Math.min(most, px));
    const shadow: Shadow = {
      x: bounded(x, LIMITS.shadow),
      y: bounded(y, LIMITS.shadow),
      blur: within(blur, LIMITS.shadow),
      spread: bounded(spread, LIMITS.shadow),
      colour,
      opacity,
    };
    return [{ shadow, isInner: part.some((node) => node.type === 'Identifier' && node.name === 'inset') }];
  });
  if (read.length > LIMITS.layers)
    say('box-shadow', `has more than ${LIMITS.layers} shadows; the first are kept`);
  return read.slice(0, LIMITS.layers);
}
