import { columnCountOf, resolvedBands, type ArrangementName, type CollectionDocument } from '@noria/core';
import { count } from '../../ui/words';
import { kindData } from './data';

/** “4 columns”, “fluid, 4 columns”, “masonry, 5 lanes”, “rows”. */
export function arrangementWords(kind: ArrangementName, columns: number): string {
  const { name, column, isPlain } = kindData(kind);
  const counted = column && count(columns, column).toLowerCase();
  if (isPlain) return counted ?? '';
  return counted ? `${name.toLowerCase()}, ${counted}` : name.toLowerCase();
}

/** A kind in a sentence: “masonry”. */
export const nameOf = (kind: ArrangementName): string => kindData(kind).name.toLowerCase();

const list = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** “bento of 6, 4 and 2 columns”, “masonry, up to 5 lanes”, “rows”. */
export function arrangedWords(document: CollectionDocument): string {
  const bands = resolvedBands(document);
  const kinds = [...new Set(bands.map(({ arrangement }) => arrangement.kind))];
  const [kind] = kinds;
  if (kind === undefined || kinds.length > 1) return list.format(kinds.map(nameOf));
  const word = kindData(kind).column;
  if (word === null) return nameOf(kind);
  const counts = [...new Set(bands.map((band) => band.columns.length))];
  if (bands.some(({ arrangement }) => columnCountOf(arrangement)?.count === null))
    return `${nameOf(kind)}, up to ${count(Math.max(...counts), word).toLowerCase()}`;
  return `${nameOf(kind)} of ${list.format(counts.map(String))} ${counts.length === 1 && counts[0] === 1 ? word : `${word}s`}`;
}
