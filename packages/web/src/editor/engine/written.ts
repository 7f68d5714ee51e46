import { writeFragment, writePage, type CollectionDocument, type Page, type TextMeasurer } from '@noria/core';

/** What a collection leaves as. */
export type Form = 'page' | 'fragment';

const WRITERS: Readonly<Record<Form, typeof writePage>> = { page: writePage, fragment: writeFragment };

/** Writes a collection in one of its forms. */
export const writeForm = (form: Form, document: CollectionDocument, measurer: TextMeasurer): Page =>
  WRITERS[form](document, measurer);
