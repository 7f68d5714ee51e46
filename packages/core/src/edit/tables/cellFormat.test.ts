import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatCell, formatsOf, NUMBER_FORMATS, readDate, readNumber } from './cellFormat.js';

test.each([
  ['1234.5', 1234.5],
  ['1,234.5', 1234.5],
  ['1.234,5', 1234.5],
  ['1 234,5', 1234.5],
  ['12’345', 12345],
  ['1,234', 1234],
  ['1,23', 1.23],
  ['1.234.567', 1234567],
  ['−4', -4],
  ['+7', 7],
  ['7 huts', null],
  ['', null],
  ['-', null],
])('the cell “%s” says %p', (cell, value) => {
  expect(readNumber(cell)).toBe(value);
});

test('days are read as ISO 8601 has them, and only such as there are', () => {
  expect(readDate('2027-02-03')?.toISOString()).toBe('2027-02-03T00:00:00.000Z');
  expect(readDate('2027/2/3 18:00')?.toISOString()).toBe('2027-02-03T00:00:00.000Z');
  for (const none of ['2027-02-30', '3.2.2027', '2027', 'soon']) expect(readDate(none)).toBeNull();
});

test('cells are written by the language; what is neither stays', () => {
  const said = (cell: string, format: Parameters<typeof formatCell>[1], language = 'en') =>
    formatCell(cell, format, language).replace(/[\u00a0\u202f]/g, ' ');
  expect(said('2710', 'number')).toBe('2,710');
  expect(said('2710,5', 'number', 'de')).toBe('2.710,5');
  expect(said('12 %', 'percent')).toBe('12%');
  expect(said('0.125', 'percent', 'fr')).toBe('12,5 %');
  expect(said('42', 'currency-EUR', 'de')).toBe('42 €');
  expect(said('42.5', 'currency-USD')).toBe('$42.50');
  expect(said('2027-06-05', 'day-month')).toBe('June 5');
  expect(said('2027-06-05', 'date-long', 'de')).toBe('Samstag, 5. Juni 2027');
  for (const format of ['number', 'date', 'currency-EUR'] as const)
    expect(said('closed', format)).toBe('closed');
  expect(said('2710', undefined)).toBe('2710');
});

test('a column has the formats of what all of its cells are', () => {
  expect(formatsOf(['12', '', '1,5'])).toBe(NUMBER_FORMATS);
  expect(formatsOf(['2027-06-05', '2028-01-01'])).toContain('day-month');
  for (const words of [['12', 'closed'], [], ['', ' ']]) expect(formatsOf(words)).toEqual([]);
});

test('any number comes back as it was, written in any language', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -1e9, max: 1e9 }),
      fc.constantFrom('en', 'de', 'fr', 'de-CH', 'sv'),
      (n, language) => {
        const value = n / 100;
        // Three decimals after one comma would be thousands.
        expect(readNumber(formatCell(String(value), 'number', language))).toBe(value);
      },
    ),
  );
});
