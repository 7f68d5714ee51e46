import type { CollectionDocument, SetHere } from '@noria/core';

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
  fluid: 'Fluid columns',
  cells: 'Cells',
  masonry: 'Lanes',
  rowHeights: 'Heights of rows',
  mosaic: 'Modules',
  fan: 'Cards',
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

/** What a value that is set here is called. */
export function setHereName(document: CollectionDocument, { id, field }: SetHere): string {
  const name = FIELDS[field] ?? field;
  const tile = id === null ? undefined : document.tiles[id];
  return tile ? `${name} of ${tile.name}` : name;
}

/** The value in few words. */
export function setHereValue({ field, value }: SetHere): string {
  if (field === 'columns' && Array.isArray(value)) return String(value.length);
  if (field === 'rows' && Array.isArray(value)) return value.length === 0 ? 'none' : String(value.length);
  if (field === 'areas' && Array.isArray(value)) return value.length === 0 ? 'none' : `${value.length} rows`;
  if (field === 'breakBefore') return value === true ? 'begins one' : 'flows';
  if (field === 'hidden') return value === true ? 'hidden' : 'shown';
  if (value === null) return field === 'maxInlineSize' ? 'full' : 'none';
  if (typeof value === 'object') {
    const all = value as Record<string, unknown>;
    if (field === 'span') return `${plain(all.columnSpan)} × ${plain(all.rowSpan)}`;
    if (field === 'pin') return `${String(all.column)}, ${String(all.row)}`;
    if (field === 'padding') {
      const sides = [all.blockStart, all.inlineEnd, all.blockEnd, all.inlineStart];
      return [...new Set(sides)].length === 1 ? String(sides[0]) : sides.join(' ');
    }
    if (field === 'rowHeights') return `near ${String(all.target)} px`;
    if (field === 'masonry' || field === 'mosaic')
      return all.count === null ? `at least ${String(all.min)} px` : plain(all.count);
    if (field === 'fan') return `${String(all.axis)}, ${String(all.inlineSize)} × ${String(all.blockSize)}`;
    if (field === 'slot') return `${String(all.column)}, ${String(all.row)}`;
    if (field === 'fluid') return `${String(all.repeat)}, ${String(all.min)} px`;
    if (field === 'height') return String(all.kind);
    return [...new Set(Object.values(all).filter((each) => typeof each === 'string'))].map(plain).join(', ');
  }
  return plain(value);
}

/** What the screen says otherwise than CSS. */
const SAID: Readonly<Record<string, string>> = { center: 'centre' };

const plain = (value: unknown) =>
  typeof value === 'string' || typeof value === 'number' ? (SAID[value] ?? String(value)) : '–';
