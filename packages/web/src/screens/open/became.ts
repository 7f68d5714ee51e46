import { nameIn, type CollectionDocument, type Report } from '@noria/core';
import { count } from '../../ui/words';
import type { Difference } from './differences';
import type { ReadGrid } from './readFiles';

/** What became of something in a page. */
export interface Became {
  readonly what: 'kept' | 'changed' | 'left';
  readonly says: string;
  /** How many, or the line that it is at. */
  readonly figure: string;
}

const lineOf = ({ line, sheet }: Report) =>
  sheet === undefined ? String(line) : `${sheet.split('/').at(-1) ?? sheet} ${line}`;

/** The same in several lines is said once, with the first of these and how many more there are. */
function together(reports: readonly Report[]): Became[] {
  const byWords = new Map<string, Report[]>();
  for (const each of reports) {
    const key = `${each.isChanged ? 'c' : 'l'}${each.message}`;
    byWords.set(key, [...(byWords.get(key) ?? []), each]);
  }
  return [...byWords.values()].map((same) => {
    const first = same[0] as Report;
    return {
      what: first.isChanged ? 'changed' : 'left',
      says: first.message,
      figure: same.length === 1 ? lineOf(first) : `${lineOf(first)} +${same.length - 1}`,
    };
  });
}

const kept = (says: string, figure: number | string): Became => ({
  what: 'kept',
  says,
  figure: String(figure),
});

const partsOf = ({ tiles }: CollectionDocument) =>
  Object.values(tiles).flatMap((tile) => (tile.kind === 'card' ? tile.parts : []));

/** What of a page is kept, changed and left out: by tile, then by line. */
export function becameOf(
  { document, reports }: Pick<ReadGrid, 'document' | 'reports'>,
  differences: readonly Difference[] | null,
  width: number,
): Became[] {
  const tiles = Object.keys(document.tiles).length;
  const parts = partsOf(document);
  const links = parts.filter((part) => 'address' in part && part.address).length;
  const pictures = Object.keys(document.pictures).length;
  const alike = tiles - (differences?.length ?? 0);
  return [
    ...(differences
      ? [kept(`Layout kept at ${width} px`, `${alike} of ${tiles}`)]
      : [kept(count(tiles, 'tile'), '')]),
    kept('Parts with words, links and pictures', parts.length),
    ...(links > 0 ? [kept('Links', links)] : []),
    ...(pictures > 0 ? [kept('Pictures', pictures)] : []),
    ...(differences ?? []).map(({ tile, what }): Became => ({
      what: 'changed',
      says: `${nameIn(document, tile)}: ${what}`,
      figure: String(width),
    })),
    ...together(reports),
  ];
}
