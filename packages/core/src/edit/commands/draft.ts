import type { Draft as ImmerDraft } from 'immer';
import type { CollectionDocument } from '../../document/types.js';

export type Draft = ImmerDraft<CollectionDocument>;

/**
 * The narrower band of an index from 1, to write on.
 * @throws RangeError when the document has no such band
 */
export function writeBand(draft: Draft, index: number): Draft['bands'][number] {
  const band = draft.bands[index - 1];
  if (!band) throw new RangeError(`There is no band ${index}; the narrowest is ${draft.bands.length}.`);
  return band;
}
