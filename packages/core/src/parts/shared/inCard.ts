import { element, type Attributes, type PageNode } from '../../engine/html/node.js';
import type { Part } from '../../document/types.js';

/** Parts in their lines: one that stands beside the part before it is in that one's. */
export function linesOf(parts: readonly Part[]): readonly (readonly Part[])[] {
  const lines: Part[][] = [];
  for (const part of parts) {
    const last = lines.at(-1);
    if (part.beside && last) last.push(part);
    else lines.push([part]);
  }
  return lines;
}

/** Whether a part stands otherwise in its card than by its place in the order alone. */
export const standsApart = ({ beside, align }: Part): boolean => beside === true || align !== undefined;

/** What a part is written as, in one element that rules can find and lines can hold. */
export function inOne(nodes: readonly PageNode[], attributes: Attributes): readonly PageNode[] {
  const [only, ...others] = nodes;
  if (only === undefined) return [];
  if (others.length > 0 || typeof only === 'string')
    return [element('div', { class: 'part', ...attributes }, nodes)];
  return [{ ...only, attributes: { ...only.attributes, ...attributes } }];
}
