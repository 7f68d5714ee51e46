/** The fields of a document that hold entries by ids, each of which is one thing to a person. */
export const ENTRY_FIELDS = [
  'tiles',
  'pictures',
  'films',
  'icons',
  'families',
  'namedLooks',
  'styles',
  'recipes',
  'tables',
] as const;
