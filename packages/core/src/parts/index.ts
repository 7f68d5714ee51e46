import { action } from './action/index.js';
import { divider } from './divider/index.js';
import { eyebrow } from './eyebrow/index.js';
import { figure } from './figure/index.js';
import { film } from './film/index.js';
import { heading } from './heading/index.js';
import { icons } from './icons/index.js';
import { label } from './label/index.js';
import { picture } from './picture/index.js';
import { quote } from './quote/index.js';
import { source } from './source/index.js';
import { spacer } from './spacer/index.js';
import { text } from './text/index.js';
import type { Part } from '../document/types.js';
import type { PartKind } from './part.js';

const kinds = new Map<string, PartKind>();

/** Makes a part known; one of the same name before it is forgotten. */
export function registerPart<P extends Part>(kind: PartKind<P>): void {
  // What it says of its own parts is only ever asked of them.
  kinds.set(kind.name, kind as unknown as PartKind);
}

registerPart(heading);
registerPart(text);
registerPart(eyebrow);
registerPart(figure);
registerPart(label);
registerPart(quote);
registerPart(source);
registerPart(action);
registerPart(icons);
registerPart(picture);
registerPart(film);
registerPart(divider);
registerPart(spacer);

/** Every part that a card may hold, in the order in which their shared rules are written. */
export const partKinds = (): PartKind[] => [...kinds.values()];

/** Whether there is a part of that name. */
export const isPart = (name: string): boolean => kinds.has(name);

/**
 * What a part has to say.
 * @throws RangeError when there is no part of that name
 */
export function partKindOf({ kind: name }: Pick<Part, 'kind'>): PartKind {
  const kind = kinds.get(name);
  if (!kind) throw new RangeError(`There is no part “${name}”.`);
  return kind;
}
