import { clone } from '../../document/clone.js';
import type { OwnFamily } from '../../document/types.js';
import type { Command } from '../patch/change.js';

/** The same with a family whose files were added, which comes into the collection as it is now. */
export const bringing =
  (family: OwnFamily, command: Command): Command =>
  (draft) => {
    (draft.families ??= {})[family.name] = clone(family);
    command(draft);
  };
