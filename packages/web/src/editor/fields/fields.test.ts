import { describe, expect, test } from '@jest/globals';
import { kindNames } from '../kinds/data';
import { interfaceOf } from '../kinds';
import { fieldSays, type Field } from './field';
import { ARRANGEMENT, COLLECTION, IN_BANDS, LOOK, MOTION, PLACE, TILE } from './fields';
import { PART } from '../parts/fields';

const ALL: readonly (readonly [string, Field])[] = Object.entries({
  ARRANGEMENT,
  COLLECTION,
  LOOK,
  MOTION,
  PART,
  PLACE,
  TILE,
}).flatMap(([group, fields]) =>
  Object.entries<Field>(fields).map(([name, field]) => [`${group}.${name}`, field] as const),
);

describe.each(ALL)('%s', (_, field) => {
  test('is called in sentence case, without a full stop', () => {
    expect(field.label).toMatch(/^\p{Lu}[^.:]*$/u);
    expect(field.help ?? 'Says what it does').toMatch(/^\p{Lu}.*[^.]$/u);
  });
  test('takes numbers from its least to its most', () => {
    if (field.least !== undefined && field.most !== undefined) expect(field.least).toBeLessThan(field.most);
    else expect([field.least, field.most]).toEqual([undefined, undefined]);
  });
  test('has two words or more to choose by, each once', () => {
    const labels = (field.choices ?? []).map(({ label }) => label);
    expect(new Set(labels).size).toBe(labels.length);
    expect(labels.length).not.toBe(1);
  });
});

test('within a group no two settings are called alike', () => {
  for (const group of [ARRANGEMENT, PLACE, LOOK, TILE, MOTION]) {
    const labels = Object.values<Field>(group).map(({ label }) => label);
    expect(new Set(labels).size).toBe(labels.length);
  }
});

test('a value is said by its choice, by its own words, or plainly', () => {
  expect(fieldSays(ARRANGEMENT.flow, 'dense')).toBe('dense');
  expect(fieldSays(LOOK.align, 'stretch')).toBe('stretch');
  expect(fieldSays(LOOK.direction, 'row')).toBe('row');
  expect(fieldSays(ARRANGEMENT.columnGap, 12)).toBe('12');
  expect(fieldSays(ARRANGEMENT.maxInlineSize, null)).toBe('none');
  expect(fieldSays(ARRANGEMENT.columns, ['1fr', '2fr'])).toBe('2');
  expect(fieldSays(ARRANGEMENT.areas, ['a a', 'b c'])).toBe('two rows');
  expect(fieldSays(ARRANGEMENT.areas, [])).toBe('none');
  expect(fieldSays(ARRANGEMENT.height, { kind: 'fixed', px: 400 })).toBe('fixed');
  expect(fieldSays(ARRANGEMENT.height, { kind: 'content' })).toBe('content');
  expect(fieldSays(PLACE.fit, { inline: 'center', block: 'stretch' })).toBe('centre, stretch');
  expect(fieldSays(PLACE.fit, { inlineSize: 200 })).toBe('own size');
  expect(fieldSays(PLACE.pin, null)).toBe('none');
  expect(fieldSays(PLACE.hidden, true)).toBe('hidden');
  expect(fieldSays(PLACE.breakBefore, true)).toBe('begins a row');
  expect(fieldSays(IN_BANDS.span ?? PLACE.pin, { columnSpan: 2, rowSpan: 1 })).toBe('2 × 1');
  expect(fieldSays({ label: 'Unknown' }, { deep: true })).toBe('none');
});

test('the values of a kind of its own are fields too', () => {
  for (const kind of kindNames()) {
    const { values } = interfaceOf({ kind });
    if (values) expect(values.label).toMatch(/^\p{Lu}/u);
  }
});
