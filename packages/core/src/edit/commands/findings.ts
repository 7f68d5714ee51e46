import type { Command } from '../patch/change.js';
import type { AcceptedFinding, TileId } from '../../document/types.js';

/** Says that a finding is as it should be, so that it does not count; or takes that back. */
export function setAccepted(
  kind: AcceptedFinding['kind'],
  tiles: readonly TileId[],
  accepted: boolean,
): Command {
  return (draft) => {
    const others = (draft.accepted ?? []).filter(
      (each) => each.kind !== kind || each.tiles.join() !== tiles.join(),
    );
    const all = accepted ? [...others, { kind, tiles: [...tiles] }] : others;
    if (all.length > 0) draft.accepted = all;
    else delete draft.accepted;
  };
}
