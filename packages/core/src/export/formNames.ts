/** What a collection leaves as. */
export const FORM_NAMES = [
  'page',
  'fragment',
  'grid',
  'grid-by-order',
  'element',
  'csv',
  'json',
  'tokens',
] as const;

export type Form = (typeof FORM_NAMES)[number];

/** Whether something is the name of a form. */
export const isForm = (text: unknown): text is Form => FORM_NAMES.some((name) => name === text);
