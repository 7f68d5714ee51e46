import type { Level } from '../../document/levels.js';
import type { Command } from '../patch/change.js';
import type { Draft } from './draft.js';

/**
 * A command that works on the tiles and the arrangement of a group as it would on the collection's.
 * A group that is not there is left alone.
 */
export function onLevel(level: Level, command: Command): Command {
  if (level === null) return command;
  return (draft) => {
    const group = draft.tiles[level];
    if (group?.kind !== 'group') return;
    const bands = draft.bands.map((band) => ({ ...band, arrangement: { ...band.groups?.[level] } }));
    const view: Draft = { ...draft, arrangement: group.arrangement, order: group.order, bands };
    command(view);
    group.order = view.order;
    group.arrangement = view.arrangement;
    bands.forEach((copy, k) => {
      const band = draft.bands[k] as Draft['bands'][number];
      handBack(copy, band, ['arrangement']);
      const { arrangement } = copy;
      const isSet = Object.keys(arrangement).length > 0;
      if (isSet && !same(band.groups?.[level], arrangement)) (band.groups ??= {})[level] = arrangement;
      if (!isSet && band.groups) delete band.groups[level];
    });
    handBack(view, draft, ['arrangement', 'order', 'bands']);
  };
}

/** Sets or takes away what a command set or took away on a copy, but for what is the copy’s own. */
function handBack<D extends object>(copy: D, draft: D, own: readonly string[]): void {
  const keys = new Set([...Object.keys(copy), ...Object.keys(draft)]) as Set<keyof D & string>;
  for (const key of keys) {
    if (own.includes(key) || copy[key] === draft[key]) continue;
    if (key in copy) draft[key] = copy[key];
    else delete draft[key];
  }
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
