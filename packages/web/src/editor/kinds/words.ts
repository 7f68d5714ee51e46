import { columnCountOf, resolvedBands, type ArrangementName, type CollectionDocument } from '@noria/core';
import { count } from '../../ui/words';

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

const list = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** “bento of 6, 4 and 2 columns”, “masonry, up to 5 lanes”, “rows”. */
export function arrangedWords(document: CollectionDocument): string {
  const bands = resolvedBands(document);
  const kinds = [...new Set(bands.map(({ arrangement }) => arrangement.kind))];
  const [kind = 'bento'] = kinds;
  if (kinds.length > 1) return list.format(kinds);
  const word = COLUMN_WORDS[kind];
  if (word === null) return kind;
  const counts = [...new Set(bands.map((band) => band.columns.length))];
  if (bands.some(({ arrangement }) => columnCountOf(arrangement)?.count === null))
    return `${kind}, up to ${count(Math.max(...counts), word).toLowerCase()}`;
  return `${kind} of ${list.format(counts.map(String))} ${counts.length === 1 && counts[0] === 1 ? word : `${word}s`}`;
}
