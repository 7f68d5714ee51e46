import type { Arrangement, ArrangementName } from '@noria/core';
import { bento } from './bento';
import { fan } from './fan';
import { fluid } from './fluid';
import { masonry } from './masonry';
import { mosaic } from './mosaic';
import { rows } from './rows';
import { registerData } from './data';
import type { KindData } from './kindData';
import type { KindInterface } from './kind';

const kinds = new Map<ArrangementName, KindInterface>(
  Object.entries({ bento, fluid, masonry, rows, mosaic, fan }) as [ArrangementName, KindInterface][],
);

/** Makes the interface of a kind known; core has to know the kind. */
export function registerInterface(name: ArrangementName, data: KindData, its: KindInterface): void {
  registerData(name, data);
  kinds.set(name, its);
}

/**
 * The interface of an arrangement's kind.
 * @throws RangeError where it has none
 */
export function interfaceOf({ kind }: Pick<Arrangement, 'kind'>): KindInterface {
  const found = kinds.get(kind);
  if (!found) throw new RangeError(`The arrangement “${kind}” has no interface.`);
  return found;
}

/** Those of all kinds. */
export const interfaces = (): readonly KindInterface[] => [...kinds.values()];
