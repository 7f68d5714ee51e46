import type { Command } from '../patch/change.js';
import type { IgnoredFinding, TileId } from '../../document/types.js';

/** Says that a finding is as it should be, so that it does not count; or takes that back. */
export function setIgnored(
  kind: IgnoredFinding['kind'],
  tiles: readonly TileId[],
  ignored: boolean,
): Command {
  return (draft) => {
    const others = (draft.ignored ?? []).filter(
      (each) => each.kind !== kind || each.tiles.join() !== tiles.join(),
    );
    const all = ignored ? [...others, { kind, tiles: [...tiles] }] : others;
    if (all.length > 0) draft.ignored = all;
    else delete draft.ignored;
  };
}
