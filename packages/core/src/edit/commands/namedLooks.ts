import { clone } from '../../document/clone.js';
import { looksOfBands } from '../../document/bandLooks.js';
import { looksIn } from '../../parts/uses.js';
import { calledIn, namedIn, refer, washOf } from '../../look/named.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { NamedLook, NamedLookId } from '../../document/types.js';

/**
 * Adds a named look, or changes the one of the same id; all that follow it change. One that followed another and
 * gets a value of its own follows it no more.
 */
export function setNamedLook(look: NamedLook): Command {
  return (draft) => {
    const all = (draft.namedLooks ??= {});
    const before = all[look.id];
    // Those that follow a name take one kind of value.
    if (before && before.kind !== look.kind) return;
    const own = clone(look);
    if (own.follows !== undefined && !isSame(own.value, all[own.follows]?.value)) delete own.follows;
    if (own.kind === 'colour' && own.wash) {
      const base = all[own.wash.of];
      if (base?.kind !== 'colour' || own.value !== washOf(base.value, own.wash)) delete own.wash;
    }
    all[look.id] = own;
    passOn(draft, look.id);
  };
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Gives the named looks that follow one its value or a wash of it, and those that follow them. */
function passOn(
  { namedLooks = {} }: Pick<Draft, 'namedLooks'>,
  id: NamedLookId,
  passed: ReadonlySet<NamedLookId> = new Set(),
): void {
  const been = new Set([...passed, id]);
  const value = namedLooks[id]?.value;
  for (const each of Object.values(namedLooks)) {
    // Names that follow each other in a circle end where they began.
    if (been.has(each.id)) continue;
    const next =
      each.follows === id
        ? value
        : each.kind === 'colour' && each.wash?.of === id
          ? washOf(value as string, each.wash)
          : undefined;
    if (next === undefined || isSame(each.value, next)) continue;
    each.value = clone<unknown>(next) as typeof each.value;
    passOn({ namedLooks }, each.id, been);
  }
}

/** Calls named looks by their names everywhere, as a style sheet does; what they are is the same. */
export function callByNames(): Command {
  return (draft) => {
    const called = calledIn(draft.namedLooks);
    const next = (id: string) => called.get(id) ?? id;
    if (Object.keys(draft.namedLooks ?? {}).every((id) => next(id) === id)) return;
    writeOut(draft, (value) => {
      const id = namedIn(value);
      return id === null ? null : { value: refer(next(id)) };
    });
    const all = Object.fromEntries(
      Object.values(draft.namedLooks ?? {}).map(({ follows, ...look }) => [
        next(look.id),
        {
          ...look,
          id: next(look.id),
          ...(follows !== undefined && { follows: next(follows) }),
          ...(look.kind === 'colour' && look.wash && { wash: { ...look.wash, of: next(look.wash.of) } }),
        },
      ]),
    );
    draft.namedLooks = all;
  };
}

/** Removes a named look; what followed it keeps the value that it had. */
export function removeNamedLook(id: NamedLookId): Command {
  return (draft) => {
    const value = draft.namedLooks?.[id]?.value;
    if (value === undefined) return;
    writeOut(draft, (each) => (namedIn(each) === id ? { value: clone(value) } : null));
    delete draft.namedLooks?.[id];
    for (const each of Object.values(draft.namedLooks ?? {})) {
      if (each.follows === id) delete each.follows;
      if (each.kind === 'colour' && each.wash?.of === id) delete each.wash;
    }
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
  for (const style of Object.values(draft.styles ?? {})) visit(style.look);
  for (const recipe of Object.values(draft.recipes ?? {})) {
    for (const tile of Object.values(recipe.tiles))
      for (const each of looksIn(tile)) visit(each as Record<string, unknown>);
    for (const variant of recipe.variants) visit(variant.looks);
  }
}
