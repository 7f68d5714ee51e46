import type { CollectionDocument, SetHere } from '@noria/core';
import { interfaces } from '../kinds';

const FIELDS: Readonly<Record<string, string>> = {
  kind: 'Arrangement',
  columns: 'Columns',
  rows: 'Rows',
  autoRows: 'Every other row',
  columnGap: 'Column gap',
  rowGap: 'Row gap',
  padding: 'Padding',
  flow: 'Flow',
  maxInlineSize: 'Maximum width',
  height: 'Height',
  areas: 'Areas',
  cells: 'Cells',
  breakBefore: 'Row',
  slot: 'Slot',
  span: 'Span',
  pin: 'Pin',
  area: 'Area',
  fit: 'Fit',
  layer: 'Layer',
  order: 'Order',
  hidden: 'Shown',
  headingSize: 'Large type',
  bodySize: 'Small type',
  spread: 'Spread',
  align: 'Align',
  direction: 'Contents',
  textDirection: 'Text runs',
};

/** Values that a kind of arrangement has of its own. */
const ofKind = (field: string) => interfaces().find(({ values }) => values?.field === field)?.values;

/** What a value that is set here is called. */
export function setHereName(document: CollectionDocument, { id, field }: SetHere): string {
  const name = FIELDS[field] ?? ofKind(field)?.name ?? field;
  const tile = id === null ? undefined : document.tiles[id];
  return tile ? `${name} of ${tile.name}` : name;
}

/** Lists, by how many there are in them. */
const LISTS: Readonly<Record<string, (length: number) => string>> = {
  rows: (length) => (length === 0 ? 'none' : String(length)),
  areas: (length) => (length === 0 ? 'none' : `${length} rows`),
};

/** The value in few words. */
export function setHereValue({ field, value }: SetHere): string {
  if (Array.isArray(value)) return LISTS[field]?.(value.length) ?? String(value.length);
  if (field === 'breakBefore') return value === true ? 'begins one' : 'flows';
  if (field === 'hidden') return value === true ? 'hidden' : 'shown';
  if (value === null) return field === 'maxInlineSize' ? 'full' : 'none';
  if (typeof value === 'object') {
    const own = ofKind(field);
    if (own) return own.says(value);
    const all = value as Record<string, unknown>;
    if (field === 'span') return `${plain(all.columnSpan)} × ${plain(all.rowSpan)}`;
    if (field === 'pin') return `${String(all.column)}, ${String(all.row)}`;
    if (field === 'padding') {
      const sides = [all.blockStart, all.inlineEnd, all.blockEnd, all.inlineStart];
      return [...new Set(sides)].length === 1 ? String(sides[0]) : sides.join(' ');
    }
    if (field === 'slot') return `${String(all.column)}, ${String(all.row)}`;
    if (field === 'height') return String(all.kind);
    return [...new Set(Object.values(all).filter((each) => typeof each === 'string'))].map(plain).join(', ');
  }
  return plain(value);
}

/** What the screen says otherwise than CSS. */
const SAID: Readonly<Record<string, string>> = { center: 'centre' };

const plain = (value: unknown) =>
  typeof value === 'string' || typeof value === 'number' ? (SAID[value] ?? String(value)) : '–';
