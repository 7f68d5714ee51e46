/** The entries of css-tree that its types leave out. */
declare module 'css-tree/parser' {
  import type { parse } from 'css-tree';
  const parser: typeof parse;
  export default parser;
}
declare module 'css-tree/generator' {
  import type { generate } from 'css-tree';
  const generator: typeof generate;
  export default generator;
}
