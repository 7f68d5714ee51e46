import type { CollectionDocument } from '../../document/types.js';

/** Whose change: the one made here, or the one that was stored meanwhile. */
export type Side = 'ours' | 'theirs';

/** A value that both sides changed, or that one deleted and the other changed. */
export interface Meeting {
  /** Where it is, by ids: `/tiles/beds/name`, `/bands/band-7/arrangement/columnGap`; empty: the whole. */
  readonly path: string;
  /** What it was before both, and on each side; undefined: not there. */
  readonly base: unknown;
  readonly ours: unknown;
  readonly theirs: unknown;
}

export interface Joined {
  readonly document: CollectionDocument;
  /** Where the sides meet, each decided as was chosen. */
  readonly meetings: readonly Meeting[];
  /** What one side deleted and the other came to use: it was kept. Paths as `/pictures/hut`. */
  readonly kept: readonly string[];
}

export interface JoinRequest {
  /** What both sides began with. */
  readonly base: CollectionDocument;
  readonly ours: CollectionDocument;
  readonly theirs: CollectionDocument;
  /** Which side is followed, by the path of a meeting. */
  readonly choices?: Readonly<Record<string, Side>>;
  /** Which side is followed where nothing is chosen. */
  readonly otherwise: Side;
}
