import type { Level } from '../document/levels.js';
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
    bands.forEach(({ arrangement }, k) => {
      const band = draft.bands[k] as Draft['bands'][number];
      const isSet = Object.keys(arrangement).length > 0;
      if (isSet && !same(band.groups?.[level], arrangement)) (band.groups ??= {})[level] = arrangement;
      if (!isSet && band.groups) delete band.groups[level];
    });
  };
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
