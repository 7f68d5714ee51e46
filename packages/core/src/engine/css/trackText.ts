import type { Breadth, TrackSizingFunction } from '../box/style.js';
import type { Length } from './length.js';

/** A number as CSS has it: to the hundredth, which is finer than browsers lay out. */
const number = (value: number) => String(Math.round(value * 100) / 100);

/** A length written out (CSS Values 4, section 10): px, a percentage, or a calculation with them. */
export function lengthText(length: Length): string {
  if (typeof length === 'number') return `${number(length)}px`;
  switch (length.of) {
    case 'percent':
      return `${number(length.percent)}%`;
    case 'sum':
      return `calc(${length.parts.map(lengthText).join(' + ')})`;
    case 'product':
      return `calc(${number(length.factor)} * ${lengthText(length.part)})`;
    case 'min':
    case 'max':
      return `${length.of}(${length.parts.map(lengthText).join(', ')})`;
  }
}

const breadthText = (breadth: Breadth): string =>
  breadth.kind === 'length'
    ? lengthText(breadth.value)
    : breadth.kind === 'fr'
      ? `${number(breadth.value)}fr`
      : breadth.kind;

/** A track size written out (CSS Grid 2, section 7.2), which reads as the same again. */
export function trackText({ min, max, fitLimit }: TrackSizingFunction): string {
  if (fitLimit !== null) return `fit-content(${lengthText(fitLimit)})`;
  const [least, most] = [breadthText(min), breadthText(max)];
  return least === most ? least : `minmax(${least}, ${most})`;
}
