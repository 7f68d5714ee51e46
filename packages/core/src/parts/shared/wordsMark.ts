import type { Attributes } from '../../engine/html/node.js';
import type { Part } from '../../document/types.js';
import type { Sources } from '../part.js';

/** What the elements say that a part’s words are in, where it is asked for. */
export const wordsMark = ({ id }: Pick<Part, 'id'>, { marksWords }: Sources): Attributes =>
  marksWords ? { 'data-words': id } : {};
