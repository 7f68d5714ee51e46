import type { CollectionDocument } from '@noria/core';
import { arrangedWords } from '../../editor/kinds/words';
import { count } from '../../ui/words';
import type { ReadGrid } from './readFiles';

const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

function bandsWords({ bands }: CollectionDocument): string {
  const below = bands.map((band) => String(band.below));
  if (below.length === 0) return 'one band';
  const last = below.at(-1) as string;
  return `bands below ${below.length === 1 ? last : `${below.slice(0, -1).join(', ')} and ${last}`}`;
}

/** What a grid is called in a list of those that were found, and what is said of it. */
export function foundWords({
  document,
  name,
  line,
  grids,
}: Pick<ReadGrid, 'document' | 'name' | 'line' | 'grids'>) {
  const tiles = count(Object.keys(document.tiles).length, 'tile').toLowerCase();
  if (grids > 1)
    return { title: 'The whole page', says: `${count(grids, 'grid')} as groups, one below the other` };
  return {
    title: capital(arrangedWords(document)),
    says: `${name}, line ${line}: ${tiles}, ${bandsWords(document)}`,
  };
}
