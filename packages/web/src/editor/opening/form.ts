import { keepPlain, readPlain } from '../../api/kept/storage';
import type { Form } from '../engine/written';

const keyOf = (id: string) => `noria-form-${id}`;

/** In which form a collection is exported: as last chosen in this browser, or as what it was opened from. */
export const formOf = (id: string): Form => (readPlain(keyOf(id)) === 'fragment' ? 'fragment' : 'page');

export const keepForm = (id: string, form: Form): void => void keepPlain(keyOf(id), form);
