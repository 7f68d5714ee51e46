import { number } from '../../document/checks.js';
import { words } from '../../look/checks.js';
import { element, type PageNode } from '../../engine/html/node.js';
import type { Part } from '../../document/types.js';
import type { PartKind } from '../../parts/part.js';

/** So many stars of five, and what they are for. */
export interface RatingPart {
  readonly id: string;
  readonly kind: 'rating';
  readonly stars: number;
  readonly words: string;
}

const kind: Omit<PartKind<RatingPart & Part>, 'name' | 'empty' | 'html'> & {
  readonly name: RatingPart['kind'];
  readonly empty: Omit<RatingPart, 'id' | 'kind'>;
  readonly html: (part: RatingPart) => readonly PageNode[];
} = {
  name: 'rating',
  called: 'A rating',
  fields: { stars: number(0, 5, 'A number of stars', true), words },
  empty: { stars: 5, words: '' },
  html: ({ stars, words: said }) => [
    element('p', { class: 'rating', 'aria-label': `${stars} of 5` }, ['★'.repeat(stars), said && ` ${said}`]),
  ],
  css: () => ({ apart: '.rating {\n  font-size: 2em;\n  line-height: 1;\n}\n' }),
  least: 'whole',
  weight: 4,
  slots: [{ field: 'words', name: 'Rating', holds: 'words' }],
};

/** A part that is not among those of the product, as somebody who adds one would write it. */
export const rating = kind as unknown as PartKind;
