import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { placeItems, type PlacementWish } from './placeItems.js';

const wish = (most: number) =>
  fc.record({
    start: fc.option(fc.integer({ min: -2, max: most }), { freq: 3 }),
    span: fc.integer({ min: 1, max: 4 }),
  });
const wishes = fc.array(fc.record({ column: wish(6), row: wish(5) }), { minLength: 1, maxLength: 30 });

/** The cells as the specification says them, looking through all of them each time. */
function naive(list: readonly PlacementWish[], columns: number, dense: boolean) {
  const before = Math.max(0, ...list.map(({ column }) => -(column.start ?? 0)));
  const rowsBefore = Math.max(0, ...list.map(({ row }) => -(row.start ?? 0)));
  const taken = new Set<string>();
  const places: ([number, number] | undefined)[] = list.map(() => undefined);
  const free = (c: number, r: number, k: number) => {
    const { column, row } = list[k] as PlacementWish;
    for (let x = c; x < c + column.span; x++)
      for (let y = r; y < r + row.span; y++) if (taken.has(`${x} ${y}`)) return false;
    return true;
  };
  const take = (c: number, r: number, k: number) => {
    places[k] = [c, r];
    const { column, row } = list[k] as PlacementWish;
    for (let x = c; x < c + column.span; x++) for (let y = r; y < r + row.span; y++) taken.add(`${x} ${y}`);
  };
  let width = columns + before;
  list.forEach(({ column, row }, k) => {
    if (column.start !== null) width = Math.max(width, column.start + before + column.span);
    if (column.start !== null && row.start !== null) take(column.start + before, row.start + rowsBefore, k);
  });
  const cursors = new Map<number, number>();
  list.forEach(({ column, row }, k) => {
    if (column.start !== null || row.start === null) return;
    const r = row.start + rowsBefore;
    let c = dense ? 0 : (cursors.get(r) ?? 0);
    while (!free(c, r, k)) c++;
    cursors.set(r, c + column.span);
    take(c, r, k);
    width = Math.max(width, c + column.span);
  });
  width = Math.max(
    width,
    ...list.filter(({ column }) => column.start === null).map(({ column }) => column.span),
  );
  let [cursorColumn, cursorRow] = [0, 0];
  list.forEach(({ column, row }, k) => {
    if (row.start !== null) return;
    if (dense) [cursorColumn, cursorRow] = [0, 0];
    if (column.start !== null) {
      const c = column.start + before;
      if (c < cursorColumn) cursorRow++;
      while (!free(c, cursorRow, k)) cursorRow++;
      cursorColumn = c;
    } else {
      while (cursorColumn + column.span > width || !free(cursorColumn, cursorRow, k)) {
        if (++cursorColumn + column.span > width) [cursorColumn, cursorRow] = [0, cursorRow + 1];
      }
    }
    take(cursorColumn, cursorRow, k);
  });
  return places;
}

test('items lie where a search through all cells would put them, in narrow grids and wide ones', () => {
  fc.assert(
    fc.property(wishes, fc.constantFrom(1, 4, 7, 40), fc.boolean(), (list, columns, dense) => {
      const { columnStart, rowStart } = placeItems(list, {
        explicitColumns: columns,
        explicitRows: 0,
        flowAxis: 'row',
        dense,
        bound: null,
      });
      expect(list.map((_, k) => [columnStart[k], rowStart[k]])).toEqual(naive(list, columns, dense));
    }),
  );
});

test('flow by columns is flow by rows, turned over', () => {
  fc.assert(
    fc.property(wishes, fc.boolean(), (list, dense) => {
      const turned = list.map(({ column, row }) => ({ column: row, row: column }));
      const options = { explicitColumns: 3, explicitRows: 3, dense, bound: null };
      const byRow = placeItems(list, { ...options, flowAxis: 'row' });
      const byColumn = placeItems(turned, { ...options, flowAxis: 'column' });
      expect([...byColumn.rowStart]).toEqual([...byRow.columnStart]);
      expect([...byColumn.columnStart]).toEqual([...byRow.rowStart]);
    }),
  );
});
