import { arrangementKinds } from '../../arrangements/index.js';

/** What can be said of a grid in words, each with an example that can be read as it stands. */
export const DESIGN_EXAMPLES: readonly { readonly says: string; readonly write: string }[] = [
  { write: '4, 3, 2', says: 'rows of so many cards' },
  { write: '2:1, 3 with the 2nd in halves', says: 'rows of unequal cards, one cut in two' },
  { write: '3:2, 1:3, stacked below 400', says: 'the same at all widths, one below the other on phones' },
  { write: '5 × 2: 2×2, 3×1, 1×1, 2×1', says: 'five columns, two rows, and a span a card' },
  {
    write: '4 × 3: 4×1, 2×2 picture, 2×1 quote, 2×1 group (3), first row 64',
    says: 'what each card is, a grid in a group, and how high the first row is',
  },
  {
    write: '14 × 6: 9×4, 5×6, square cells, pictures',
    says: 'rows as high as columns are wide; pictures, not cards',
  },
  { write: 'areas top top top / side main main', says: 'named areas, row by row; a dot for a cell without' },
  { write: '9 × 4 of 12, 6 below 900', says: 'nine cards of four columns in twelve, of six below 900 px' },
  { write: '4 of 400 × 500 across 1800', says: 'cards of one size in px, with even gaps between them' },
  { write: '80 × 180px', says: 'eighty cards in as many columns of 180 px as fit' },
  ...kindExamples(),
  { write: '4 at 1240, at most 5, 12 cards', says: 'as many as fit: four at 1240 px, never over five' },
  {
    write: '210px, spans by shape from 640',
    says: 'as many as fit: wide and tall pictures take two, above 640 px',
  },
  {
    write:
      '3, 2, gap 12, padding 36, radius 14, fill #232b33, background #14181d, height 92%, width 1200, breakpoints 900 580, enlarge all',
    says: 'values beside any of them',
  },
];

/** One kind stands for all that are made by their names. */
function kindExamples() {
  const [first, ...others] = arrangementKinds().flatMap(({ name, isSaid }) => (isSaid ? [name] : []));
  if (first === undefined) return [];
  const alike = others.map((name) => `“${name} …”`).join(', ');
  const says = `a ${first} of columns that fit; “of 4”: of four${alike && `; ${alike} too`}`;
  return [{ write: `${first} of 240px, at most 4`, says }];
}
