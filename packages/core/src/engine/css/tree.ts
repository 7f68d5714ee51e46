/// <reference path="./css-tree.d.ts" />
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';

/** The parser and generator of CSS by themselves: the dictionaries of properties beside them weigh more than both. */
export { generate, parse };
