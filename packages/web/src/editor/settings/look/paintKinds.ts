import {
  colourOf,
  isGradient,
  shadeOf,
  type CollectionDocument,
  type Fill,
  type Gradient,
  type GradientStop,
  type Veil,
} from '@noria/core';
import type { Choosable } from '../../../ui/Choice';

export type FillKind = 'none' | 'plain' | Gradient['kind'] | 'picture' | 'film';

const LABELS: Readonly<Record<FillKind, string>> = {
  plain: 'Solid',
  linear: 'Linear',
  radial: 'Radial',
  conic: 'Conic',
  picture: 'Picture',
  film: 'Film',
  none: 'None',
};

const choices = (kinds: readonly FillKind[]): readonly Choosable<FillKind>[] =>
  kinds.map((value) => ({ value, label: LABELS[value] }));

export const FILL_KINDS = choices(['plain', 'linear', 'radial', 'conic', 'picture', 'film', 'none']);
export const LAYER_KINDS = choices(['plain', 'linear', 'radial', 'conic', 'picture']);
export const BORDER_KINDS = choices(['none', 'plain', 'linear', 'radial', 'conic']);
export const VEIL_KINDS = choices(['plain', 'linear', 'radial', 'conic']);

export const kindOfFill = (fill: Fill): FillKind =>
  fill === 'none' ? 'none' : typeof fill === 'string' ? 'plain' : fill.kind;

export const kindOfVeil = (veil: Veil): FillKind => (isGradient(veil) ? veil.kind : 'plain');

/** The kind of gradient that is chosen; null: it is none. */
export const gradientKind = (kind: FillKind): Gradient['kind'] | null =>
  kind === 'linear' || kind === 'radial' || kind === 'conic' ? kind : null;

/** How dark a picture behind words is at first, so that they are read on it. */
export const DARK = { colour: '#0b1714', opacity: 0.5 };
const PALE = '#dfe8e2';

type Names = CollectionDocument['namedLooks'];

/** The colour that another kind of fill goes on with. */
export function colourToBegin(fill: Fill | Veil): string {
  if (isGradient(fill)) return fill.stops[0]?.colour ?? PALE;
  if (typeof fill === 'string') return fill === 'none' ? PALE : fill;
  return 'colour' in fill ? fill.colour : PALE;
}

/** The stops that a gradient begins with: those that there are, or from the colour that there is to a shade of it. */
function stopsToBegin(fill: Fill | Veil, names: Names): readonly GradientStop[] {
  if (isGradient(fill)) return fill.stops;
  const colour = colourToBegin(fill);
  const opacity = typeof fill === 'object' && 'opacity' in fill ? fill.opacity : 1;
  const first = { colour, at: 0, ...(opacity < 1 && { opacity }) };
  // What lies over a picture ends in nothing.
  if (typeof fill === 'object' && !('kind' in fill)) return [first, { colour, at: 1, opacity: 0 }];
  return [first, { colour: shadeOf(colourOf(names, colour)), at: 1 }];
}

/** A gradient of a kind, with what there is of another fill. */
export function gradientToBegin(kind: Gradient['kind'], fill: Fill | Veil, names: Names): Gradient {
  const stops = stopsToBegin(fill, names);
  if (kind === 'linear') return { kind, angle: 180, stops };
  if (kind === 'conic') return { kind, x: 0.5, y: 0.5, angle: 0, stops };
  return { kind, x: 0.5, y: 0, stops };
}

/** A colour, with its opacity where it lets through. */
export const plainFill = (colour: string, opacity: number): Fill & (string | { readonly kind: 'plain' }) =>
  opacity < 1 ? { kind: 'plain', colour, opacity } : colour;

/** The colour and opacity of a fill that is one colour. */
export const plainOf = (fill: Fill): { readonly colour: string; readonly opacity: number } | null =>
  typeof fill === 'string'
    ? fill === 'none'
      ? null
      : { colour: fill, opacity: 1 }
    : fill.kind === 'plain'
      ? fill
      : null;
