import { isForm, type Form } from '@noria/core';
import { keepPlain, readPlain } from '../../api/kept/storage';

const keyOf = (id: string) => `noria-form-${id}`;

/** In which form a collection is exported: as last chosen in this browser, or as what it was opened from. */
export function formOf(id: string): Form {
  const kept = readPlain(keyOf(id));
  return isForm(kept) ? kept : 'page';
}

export const keepForm = (id: string, form: Form): void => void keepPlain(keyOf(id), form);
