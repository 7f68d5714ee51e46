import { BLENDS, type FillLayer, type Gradient, type Paint, type TileLook } from '@noria/core';
import type { Random } from './random';

/** What lies behind the words of a tile. */
export type Ground = Pick<TileLook, 'fill' | 'over'>;

/** The named colours that random looks refer to. */
export const NAMED = { moss: { id: 'moss', name: 'Moss', kind: 'colour', value: '#5c7a4f' } } as const;

/** A fill and layers over it, as a designer might choose them and as nobody would. */
export function randomLook(random: Random): Ground {
  const { pick, chance, int } = random;
  const share = (from: number, to: number) => from + (int(0, 1000) / 1000) * (to - from);
  const colour = () => (chance(0.1) ? '{moss}' : `#${int(0, 0xffffff).toString(16).padStart(6, '0')}`);
  const stops = (sheer: boolean): Gradient['stops'] => {
    const count = int(2, 4);
    return Array.from({ length: count }, (_, k) => ({
      colour: colour(),
      at: Math.min(1, Math.max(0, k / (count - 1) + share(-0.12, 0.12))),
      ...(sheer && chance(0.6) && { opacity: share(0.1, 1) }),
    })).toSorted((a, b) => a.at - b.at);
  };
  const gradient = (sheer: boolean): Gradient => {
    const middle = { x: share(-0.6, 1.6), y: share(-0.6, 1.6) };
    switch (pick(['linear', 'radial', 'turned', 'conic'])) {
      case 'linear':
        return { kind: 'linear', angle: int(-360, 360), stops: stops(sheer) };
      case 'conic':
        return { kind: 'conic', ...middle, angle: int(0, 359), stops: stops(sheer) };
      case 'turned': {
        const radii = { x: share(0.2, 1.6), y: share(0.2, 1.6) };
        return { kind: 'radial', ...middle, radii, angle: int(1, 179), stops: stops(sheer) };
      }
      default: {
        const radii = { x: share(0.2, 1.6), y: share(0.2, 1.6) };
        return { kind: 'radial', ...middle, ...(chance(0.6) && { radii }), stops: stops(sheer) };
      }
    }
  };
  const paint = (sheer: boolean): Paint =>
    chance(0.3)
      ? sheer
        ? { kind: 'plain', colour: colour(), opacity: share(0.1, 0.9) }
        : colour()
      : gradient(sheer);
  const layer = (): FillLayer => ({
    fill: paint(chance(0.7)),
    ...(chance(0.6) && { blend: pick(BLENDS) }),
  });
  return {
    fill: paint(chance(0.3)),
    ...(chance(0.6) && { over: Array.from({ length: int(1, 3) }, layer) }),
  };
}
