import { nameIn, type CollectionDocument, type SetHere } from '@noria/core';
import { fieldSays, type Field } from '../fields/field';
import { IN_BANDS } from '../fields/fields';
import { interfaces } from '../kinds';

/** What a band can set: what all have, and what a kind of arrangement has of its own. */
const fieldOf = (name: string): Field =>
  IN_BANDS[name] ?? interfaces().find(({ values }) => values?.of === name)?.values ?? { label: name };

/** What a value that is set here is called. */
export function setHereName(document: CollectionDocument, { id, field }: SetHere): string {
  const { label } = fieldOf(field);
  return id !== null && document.tiles[id] ? `${label} of ${nameIn(document, id)}` : label;
}

/** The value in few words. */
export const setHereValue = ({ field, value }: SetHere): string => fieldSays(fieldOf(field), value);
