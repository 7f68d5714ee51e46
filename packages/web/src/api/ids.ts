import { slugOf as slugIn } from '@noria/core';

/** A name as an id of the file format; another word where nothing of it can be one. */
export const slugOf = (name: string, otherwise: string) => slugIn(name) || otherwise;

/** Small letters and digits that no other tab comes upon. */
const random = (length: number) => crypto.randomUUID().replaceAll('-', '').slice(0, length);

/** An id that says what it is of, and that no other tab gives at the same time. */
export const newId = (name: string, otherwise: string) => `${slugOf(name, otherwise)}-${random(6)}`;

/** The id of a stored file in a collection: the same for the same bytes, another for others. */
export const fileId = (name: string, otherwise: string, hash: string) =>
  `${slugOf(name, otherwise)}-${hash.slice(0, 8)}`;

/** An id for a new entry of a list: a stop, an icon, a badge, a track. */
export const newEntryId = (what: string) => `${what}-${random(8)}`;
