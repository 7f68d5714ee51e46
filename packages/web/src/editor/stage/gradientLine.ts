/** Where a gradient lies in its tile, and where it is taken hold of. */

import type { Gradient } from '@noria/core';

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Line {
  readonly from: Point;
  readonly to: Point;
}

/** The line that a gradient runs along in a box, px of the box (CSS Images 4, sections 3.1 to 3.3). */
function gradientLine(gradient: Gradient, width: number, height: number): Line {
  const from =
    gradient.kind === 'linear'
      ? { x: width / 2, y: height / 2 }
      : { x: gradient.x * width, y: gradient.y * height };
  if (gradient.kind === 'conic') {
    // A ray that is as long as there is room for in most tiles, at which it begins.
    const reach = Math.max(SHORTEST, Math.min(width, height) * 0.36);
    return { from, to: towards(from, gradient.angle - 90, reach) };
  }
  if (gradient.kind === 'radial') {
    const { radii, angle = 0 } = gradient;
    if (radii) return { from, to: towards(from, angle, radii.x * width) };
    const corners = [0, width].flatMap((x) => [0, height].map((y) => ({ x, y })));
    const far = corners.reduce((a, b) =>
      Math.hypot(b.x - from.x, b.y - from.y) > Math.hypot(a.x - from.x, a.y - from.y) ? b : a,
    );
    return { from, to: far };
  }
  const turn = (gradient.angle * Math.PI) / 180;
  const length = Math.abs(width * Math.sin(turn)) + Math.abs(height * Math.cos(turn));
  const [dx, dy] = [(Math.sin(turn) * length) / 2, (-Math.cos(turn) * length) / 2];
  return { from: { x: from.x - dx, y: from.y - dy }, to: { x: from.x + dx, y: from.y + dy } };
}

/** A point so far from another, degrees clockwise from the right. */
export const towards = ({ x, y }: Point, degrees: number, far: number): Point => ({
  x: x + Math.cos((degrees * Math.PI) / 180) * far,
  y: y + Math.sin((degrees * Math.PI) / 180) * far,
});

/** From the edge of the tile, and from the end of the line to the hand that turns it, px. */
export const EDGE = 8;
export const AWAY = 18;
/** The shortest that a line is drawn, from the middle, px. */
const SHORTEST = 12;

/** As much of a gradient’s line as is drawn: none of it, nor the hand at its end, lies over another tile. */
export function drawnLine(gradient: Gradient, width: number, height: number): Line {
  const line = gradientLine(gradient, width, height);
  if (gradient.kind !== 'linear') return line;
  const { from, to } = line;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length === 0) return line;
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const inside = Math.min(
    ux === 0 ? Infinity : (width / 2 - EDGE) / Math.abs(ux),
    uy === 0 ? Infinity : (height / 2 - EDGE) / Math.abs(uy),
  );
  const half = Math.min(length / 2, Math.max(SHORTEST, inside - AWAY));
  return {
    from: { x: width / 2 - ux * half, y: height / 2 - uy * half },
    to: { x: width / 2 + ux * half, y: height / 2 + uy * half },
  };
}

/** Where a stop lies: on the line, or around the middle of a conic one. */
export function stopAt(gradient: Gradient, { from, to }: Line, at: number): Point {
  if (gradient.kind !== 'conic')
    return { x: from.x + (to.x - from.x) * at, y: from.y + (to.y - from.y) * at };
  return towards(from, gradient.angle - 90 + at * 360, Math.hypot(to.x - from.x, to.y - from.y));
}

/** So far behind the end of a line that a hand there lies on no stop. */
export function beyond(from: Point, to: Point): Point {
  const length = Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  return { x: to.x + ((to.x - from.x) / length) * AWAY, y: to.y + ((to.y - from.y) / length) * AWAY };
}

const short = (value: number) => Number(value.toFixed(3));
export const held = (value: number, least: number, most: number) =>
  short(Math.min(most, Math.max(least, value)));
/** Degrees clockwise from the right to a point. */
export const degreesTo = (from: Point, to: Point) =>
  (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
export const wholeTurn = (degrees: number) => (Math.round(degrees) + 720) % 360;

/** Degrees as a share of a whole turn, the one that is nearer to a share before; no stop jumps from one end to the other. */
export function around(degrees: number, before: number): number {
  const share = (((degrees % 360) + 360) % 360) / 360;
  return share - before > 0.5 ? 0 : before - share > 0.5 ? 1 : share;
}
