import { bento } from './bento/index.js';
import { fan } from './fan/index.js';
import { fluid } from './fluid/index.js';
import { masonry } from './masonry/index.js';
import { mosaic } from './mosaic/index.js';
import { rows } from './rows/index.js';
import type { ArrangementKind } from './kind.js';
import type { Arrangement, ArrangementName } from '../document/types.js';

const kinds = new Map<string, ArrangementKind>();

/** Makes a kind of arrangement known; one of the same name before it is forgotten. */
export function register(kind: ArrangementKind): void {
  kinds.set(kind.name, kind);
}

for (const kind of [bento, fluid, masonry, rows, mosaic, fan]) register(kind);

/** Every kind of arrangement, in the order in which they are offered. */
export const arrangementKinds = (): ArrangementKind[] => [...kinds.values()];

/**
 * What a kind of arrangement has to say.
 * @throws RangeError when there is no kind of that name
 */
export function kindOf({ kind: name }: Pick<Arrangement, 'kind'>): ArrangementKind {
  const kind = kinds.get(name);
  if (!kind) throw new RangeError(`There is no kind of arrangement “${name}”.`);
  return kind;
}

/** The kind whose tiles hold the cells of columns that are listed: new collections, groups and grids are of it. */
export const HOLDING: ArrangementName = bento.name;
