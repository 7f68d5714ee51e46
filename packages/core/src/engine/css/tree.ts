// Packages that read this source have no list of files that would name the declarations.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./css-tree.d.ts" />
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';

/** The parser and generator of CSS by themselves: the dictionaries of properties beside them weigh more than both. */
export { generate, parse };
