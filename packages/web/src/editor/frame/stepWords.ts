import { tileName, namedIn, type CollectionDocument, type JsonPatch, type Tile } from '@noria/core';
import { count } from '../../ui/words';
import type { Step } from '../document/documentSlice';

const MOST = 28;

/** What a step was about: the tile, or how many, and what was set; empty where neither tells more than its name. */
export function stepWords({ patch, inverse }: Step, document: CollectionDocument): string {
  // A tile that got its name is called by it.
  const words = new Set([tilesIn(patch, inverse, document), valueIn(patch, document)]);
  return [...words].filter(Boolean).join(', ');
}

function tilesIn(patch: JsonPatch, inverse: JsonPatch, document: CollectionDocument): string {
  const names = new Map<string, string>();
  for (const operation of [...patch, ...inverse]) {
    const [, list, id, ...rest] = operation.path.split('/');
    if (list !== 'tiles' || id === undefined) continue;
    // A tile that was added or deleted is in the step itself.
    const whole = rest.length === 0 && 'value' in operation ? (operation.value as Tile) : undefined;
    const tile = document.tiles[id] ?? whole;
    if (tile) names.set(id, tileName(tile, document));
  }
  const [only] = names.values();
  return names.size === 1 ? (only ?? '') : names.size > 1 ? count(names.size, 'tile').toLowerCase() : '';
}

/** The one value that a step set, for one or for several, on one side or on all; empty where it set more than one. */
function valueIn(patch: JsonPatch, { namedLooks }: CollectionDocument): string {
  const set = new Map<string, unknown>();
  for (const operation of patch) {
    if ('value' in operation) set.set(operation.path.split('/').at(-1) ?? '', operation.value);
  }
  const values = new Set([...set.values()].flatMap(sidesOf));
  const [value] = values;
  if (values.size !== 1) return '';
  if (typeof value === 'number') return String(Number(value.toFixed(3)));
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value !== 'string') return '';
  const named = namedLooks?.[namedIn(value) ?? '']?.name ?? value;
  return named.length > MOST ? `${named.slice(0, MOST - 1)}…` : named;
}

/** What is said side by side, one by one; anything else is itself. */
const sidesOf = (value: unknown): readonly unknown[] =>
  typeof value === 'object' && value !== null && 'blockStart' in value ? Object.values(value) : [value];
