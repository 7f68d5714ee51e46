import { arrangementKinds, type ArrangementName } from '@noria/core';
import { bento } from './bento/data';
import { fan } from './fan/data';
import { fluid } from './fluid/data';
import { masonry } from './masonry/data';
import { mosaic } from './mosaic/data';
import { rows } from './rows/data';
import type { KindData } from './kindData';

const data = new Map<ArrangementName, KindData>(
  Object.entries({ bento, fluid, masonry, rows, mosaic, fan }) as [ArrangementName, KindData][],
);

/** Makes what is known of a kind known here. */
export const registerData = (name: ArrangementName, its: KindData): void => void data.set(name, its);

/** @throws RangeError where nothing is known of it */
export function kindData(name: ArrangementName): KindData {
  const found = data.get(name);
  if (!found) throw new RangeError(`Nothing is known of the arrangement “${name}” here.`);
  return found;
}

/** Every kind of arrangement, in the order in which they are offered. */
export const kindNames = (): readonly ArrangementName[] =>
  arrangementKinds().flatMap(({ name }) => (data.has(name) ? [name] : []));
