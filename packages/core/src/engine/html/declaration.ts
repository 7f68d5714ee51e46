import { generate } from '../css/tree.js';
import type { CssNode } from 'css-tree';
import { expandDeclaration, type Nodes } from './shorthands.js';
import type { Report } from './report.js';

export interface Declaration {
  readonly property: string;
  /** Text of the value, for custom properties and values that name one; else null. */
  readonly text: string | null;
  readonly value: Nodes;
  readonly important: boolean;
  readonly line: number;
  /** The linked style sheet that it is in; left out for the page itself. */
  readonly sheet?: string;
}

/** A declaration as its longhands; none, with a report, where it makes no sense. */
export function readDeclaration(
  node: CssNode & { type: 'Declaration' },
  line: number,
  report: (report: Report) => void,
): Declaration[] {
  const important = node.important !== false;
  const property = node.property.startsWith('--') ? node.property : node.property.toLowerCase();
  if (node.value.type === 'Raw') {
    const raw = node.value.value.trim();
    if (property.startsWith('--') || raw.includes('var(')) {
      return [{ property, text: raw, value: [], important, line }];
    }
    report({ line, message: `“${property}: ${raw}” can’t be read and is left out.` });
    return [];
  }
  const text = generate(node.value);
  if (property.startsWith('--') || text.includes('var('))
    return [{ property, text, value: [], important, line }];
  const longhands = expandDeclaration(property, node.value.children.toArray());
  if (!longhands) report({ line, message: `“${property}: ${text}” is not valid and is left out.` });
  return (longhands ?? []).map(([name, value]) => ({ property: name, text: null, value, important, line }));
}
