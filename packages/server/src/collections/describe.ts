import {
  checkDocument,
  familiesOf,
  filmsIn,
  formatProblem,
  picturesIn,
  summaryOf,
  usedOf,
  usesOfBands,
  type CollectionDocument,
} from '@noria/core';
import type { Collection, Uses } from './collection.entity.js';

/** Counts up when summaries are made otherwise; older ones are made anew when they are listed. */
export const SUMMARY_VERSION = 2;

/** What is kept beside a document so that lists need not read it. */
export type Described = Pick<
  Collection,
  'name' | 'summary' | 'pictureUses' | 'filmUses' | 'fontUses' | 'summedUp'
>;

export function describeCollection(document: CollectionDocument): Described {
  const tiles = Object.values(document.tiles);
  const behind = usesOfBands(document);
  return {
    name: document.name,
    summary: {
      tiles: tiles.length,
      recipes: Object.keys(document.recipes ?? {}).length,
      document: summaryOf(document),
      unreadable: null,
    },
    pictureUses: counted([
      ...tiles.flatMap((tile) => hashes(document.pictures, picturesIn(tile))),
      ...hashes(document.pictures, usedOf(behind, 'picture')),
    ]),
    filmUses: counted([
      ...tiles.flatMap((tile) => hashes(document.films ?? {}, filmsIn(tile))),
      ...hashes(document.films ?? {}, usedOf(behind, 'film')),
    ]),
    fontUses: counted(
      familiesOf(document).flatMap((name) =>
        (document.families?.[name]?.faces ?? []).map(({ hash }) => hash),
      ),
    ),
    summedUp: SUMMARY_VERSION,
  };
}

/** The same of a document that may be one that this version can't read. */
export function describeStored(stored: unknown, name: string): Described {
  const { document, problems } = checkDocument(stored);
  if (document) return describeCollection(document);
  const unreadable = problems.slice(0, 2).map(formatProblem).join(' ');
  const summary = { tiles: 0, recipes: 0, document: null, unreadable };
  return { name, summary, pictureUses: {}, filmUses: {}, fontUses: {}, summedUp: SUMMARY_VERSION };
}

const hashes = (all: Readonly<Record<string, { readonly hash: string }>>, ids: readonly string[]) =>
  ids.flatMap((id) => (Object.hasOwn(all, id) ? [all[id]?.hash ?? ''] : []));

function counted(all: readonly string[]): Uses {
  const counts = new Map<string, number>();
  for (const hash of all) counts.set(hash, (counts.get(hash) ?? 0) + 1);
  return Object.fromEntries(counts);
}
