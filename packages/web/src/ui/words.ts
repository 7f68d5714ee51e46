const COUNTS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];
const ORDINALS = [
  '',
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];

/** “Six columns”, “One column”, “14 tiles”. */
export const count = (n: number, one: string, many = `${one}s`) =>
  `${COUNTS[n] ?? n} ${n === 1 ? one : many}`;

/** “seventh of ten” */
export const nth = (n: number, of: number) =>
  `${ORDINALS[n] ?? `${n}th`} of ${(COUNTS[of] ?? String(of)).toLowerCase()}`;

/** “24 px”, “2cqi”. */
export const lengthWords = (length: number | string) =>
  typeof length === 'number' ? `${length} px` : length;

export const rounded = (px: number) => String(Math.round(px));

/** “lanes” as “Lanes”. */
export const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
