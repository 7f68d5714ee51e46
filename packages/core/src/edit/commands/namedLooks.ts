import { clone } from '../../document/clone.js';
import { looksOfBands } from '../../document/bandLooks.js';
import { looksIn } from '../../parts/uses.js';
import { namedIn, refer } from '../../look/named.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { NamedLook, NamedLookId } from '../../document/types.js';

/** Adds a named look, or changes the one of the same id; all that follow it change. */
export function setNamedLook(look: NamedLook): Command {
  return (draft) => {
    const all = (draft.namedLooks ??= {});
    const before = all[look.id];
    // Those that follow a name take one kind of value.
    if (before && before.kind !== look.kind) return;
    all[look.id] = clone(look);
  };
}

/** Removes a named look; what followed it keeps the value that it had. */
export function removeNamedLook(id: NamedLookId): Command {
  return (draft) => {
    const value = draft.namedLooks?.[id]?.value;
    if (value === undefined) return;
    writeOut(draft, (each) => (namedIn(each) === id ? { value: clone(value) } : null));
    delete draft.namedLooks?.[id];
  };
}

/** Gives a value a name: every place that has it follows the name from now on. */
export function nameValue(look: NamedLook): Command {
  return (draft) => {
    setNamedLook(look)(draft);
    const text = JSON.stringify(look.value);
    if (look.kind === 'colour')
      writeOut(draft, (each) => (JSON.stringify(each) === text ? { value: refer(look.id) } : null));
  };
}

type Written = (value: unknown) => { readonly value: unknown } | null;

/** Goes through every look of the collection and writes what is to be written otherwise. */
function writeOut(draft: Draft, written: Written): void {
  const visit = (on: Record<string, unknown>): void => {
    for (const [field, value] of Object.entries(on)) {
      const next = written(value);
      if (next) on[field] = next.value;
      else if (typeof value === 'object' && value !== null) visit(value as Record<string, unknown>);
    }
  };
  visit(draft.look);
  for (const tile of Object.values(draft.tiles)) {
    for (const each of looksIn(tile)) visit(each as Record<string, unknown>);
  }
  for (const look of looksOfBands(draft)) visit(look);
  for (const recipe of Object.values(draft.recipes ?? {})) {
    for (const tile of Object.values(recipe.tiles))
      for (const each of looksIn(tile)) visit(each as Record<string, unknown>);
    for (const variant of recipe.variants) visit(variant.looks);
  }
}
