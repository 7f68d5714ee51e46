import { looksIn } from './uses.js';
import { looksOfBands } from '../document/bandLooks.js';
import type { CollectionDocument } from '../document/types.js';

const HEX = /^#[0-9a-f]{6}$/i;

/** The colours in a value of a look, however deep, that follow no name. */
function coloursOfValue(value: unknown): string[] {
  if (typeof value === 'string') return HEX.test(value) ? [value.toLowerCase()] : [];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(coloursOfValue) : [];
}

/**
 * The colours of a collection that have no name, `#rrggbb`, those first that are used most.
 * @param most how many at most
 */
export function coloursUsed(document: CollectionDocument, most: number): string[] {
  const counts = new Map<string, number>();
  const all = [document.look, ...Object.values(document.tiles).flatMap(looksIn), ...looksOfBands(document)];
  for (const colour of all.flatMap(coloursOfValue)) counts.set(colour, (counts.get(colour) ?? 0) + 1);
  return [...counts]
    .toSorted(([, a], [, b]) => b - a)
    .slice(0, most)
    .map(([colour]) => colour);
}
