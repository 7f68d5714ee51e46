import type { ArrangementName } from '@noria/core';
import { count } from './words';

/** What each kind of arrangement is called. */
export const KIND_WORDS: Readonly<Record<ArrangementName, string>> = {
  bento: 'Bento',
  fluid: 'Fluid',
  masonry: 'Masonry',
  rows: 'Rows',
  mosaic: 'Mosaic',
  fan: 'Fan',
};

export const KINDS = Object.keys(KIND_WORDS) as ArrangementName[];

/** What the columns of a kind are called; null where it has none to speak of. */
export const COLUMN_WORDS: Readonly<Record<ArrangementName, string | null>> = {
  bento: 'column',
  fluid: 'column',
  masonry: 'lane',
  rows: null,
  mosaic: 'module',
  fan: null,
};

/** “4 columns”, “fluid, 4 columns”, “masonry, 5 lanes”, “rows”. */
export function arrangementWords(kind: ArrangementName, columns: number): string {
  const word = COLUMN_WORDS[kind];
  const counted = word && count(columns, word).toLowerCase();
  if (kind === 'bento') return counted ?? '';
  const name = KIND_WORDS[kind].toLowerCase();
  return counted ? `${name}, ${counted}` : name;
}
