import { byClasses, tileClasses, withClasses } from './tileClasses.js';
import { merged, shared } from './shared.js';
import { onlyPresent, presentIn, type Beside } from './present.js';
import { spelt } from './spelling.js';
import { readSheet, sheetText } from './sheet.js';
import type { CollectionDocument } from '../../document/types.js';
import type { PageElement } from '../../engine/html/node.js';

/** A page as its parts write it, and what goes out beside it. */
export interface Rough {
  readonly css: string;
  readonly nodes: readonly (readonly PageElement[])[];
  readonly beside: Beside;
}

/**
 * A style sheet as one writes it by hand, and the elements that it is for: tiles go by classes that are
 * their names, only rules that meet something are left, and what several tiles say is said once.
 */
export function tidied(document: CollectionDocument, { css, nodes, beside }: Rough): Omit<Rough, 'beside'> {
  const present = presentIn(nodes.flat(), beside);
  const classes = tileClasses(document, present);
  const items = spelt(merged(shared(onlyPresent(readSheet(css), present))));
  return {
    css: sheetText(byClasses(items, classes)),
    nodes: nodes.map((each) => each.map((node) => withClasses(node, classes))),
  };
}
