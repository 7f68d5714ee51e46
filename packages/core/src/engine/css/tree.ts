// Packages that read this source have no list of files that would name the declarations.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./css-tree.d.ts" />
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';
import type { CssNode } from 'css-tree';

/** The parser and generator of CSS by themselves: the dictionaries of properties beside them weigh more than both. */
export { generate, parse };

/** The only term of a CSS value, such as a length or a function; null when the text is none, or is several. */
export function parseValue(text: string): CssNode | null {
  let value: CssNode;
  try {
    value = parse(text.trim(), {
      context: 'value',
      onParseError: (error) => {
        throw error;
      },
    });
  } catch {
    return null;
  }
  return value.type === 'Value' && value.children.size === 1 ? value.children.first : null;
}
