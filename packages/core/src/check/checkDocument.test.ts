import { describe, expect, test } from '@jest/globals';
import { checkDocument } from './checkDocument.js';
import { formatProblem } from '../document/problems.js';
import { cardWith } from '../testing/held.js';
import { sample } from '../testing/sample.js';

/** The sample as JSON, with a value written at a path. */
function withValue(path: string, value: unknown): unknown {
  const json = JSON.parse(
    JSON.stringify(
      sample([
        [2, 2],
        [1, 1],
      ]),
    ),
  ) as Record<string, unknown>;
  const keys = path.split('.');
  let at = json;
  for (const key of keys.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[keys.at(-1) as string] = value;
  return json;
}

const said = (input: unknown) => checkDocument(input).problems.map(formatProblem);

describe('checkDocument', () => {
  test('accepts the sample', () => {
    const { document, problems } = checkDocument(
      sample([
        [2, 2],
        [1, 1],
      ]),
    );
    expect(problems).toEqual([]);
    expect(document?.order).toEqual(['t1', 't2']);
  });

  test.each([
    ['name', '', '/name: A name is empty. Write it.'],
    ['name', 'a\0b', '/name: A name holds a character that no text can have (U+0000). Remove it.'],
    [
      'tiles.t1.parts.1.words',
      '\0',
      '/tiles/t1/parts/1/words: This text holds a character that no text can have (U+0000). Remove it.',
    ],
    [
      'arrangement.columns',
      [],
      '/arrangement/columns: The list of columns has 1 to 48 entries; here it has 0.',
    ],
    [
      'arrangement.columns',
      ['1fr', 'wide'],
      '/arrangement/columns/1: A track size is written like “72px”, “1fr”, “auto” or “minmax(200px, 1fr)”, at most 10000 px and not by the window’s height; here it is "wide".',
    ],
    [
      'arrangement.autoRows',
      '20vh',
      '/arrangement/autoRows: A track size is written like “72px”, “1fr”, “auto” or “minmax(200px, 1fr)”, at most 10000 px and not by the window’s height; here it is "20vh".',
    ],
    ['arrangement.rowGap', -4, '/arrangement/rowGap: A gap is a number from 0 to 400; here it is -4.'],
    [
      'arrangement.kind',
      'spiral',
      '/arrangement/kind: The kind of arrangement is one of "bento", "fluid", "masonry", "rows", "mosaic", "fan"; here it is "spiral".',
    ],
    [
      'tiles.t1.place.columnSpan',
      1.5,
      '/tiles/t1/place/columnSpan: A span is a whole number from 1 to 1000; here it is 1.5.',
    ],
    [
      'tiles.t1.look.fill',
      'teal',
      '/tiles/t1/look/fill: A colour is written like “#1e6b5c”; here it is "teal".',
    ],
    ['tiles.t1.kind', 'poem', '/tiles/t1/kind: A tile’s kind is one of "card", "group"; here it is "poem".'],
    ['tiles.t1.id', 't9', '/tiles/t1/id: It is stored under “t1”, so its id is “t1” too; here it is "t9".'],
    ['tiles.t1', null, '/tiles/t1: A tile is an object; here it is null.'],
    ['order', ['t1', 't2', 't1'], '/order/2: “t1” comes twice. Keep one.'],
    ['order', ['t1'], '/tiles/t2: “t2” has no place in the reading order. Add it to “order”.'],
    [
      'order',
      ['t1', 't2', 't3'],
      '/order/2: There is no tile “t3”. Remove it from the order, or add the tile.',
    ],
    [
      'bands.1.below',
      1200,
      '/bands/1/below: Bands come from wide to narrow: this breakpoint is below 1080; here it is 1200.',
    ],
    [
      'bands.0.tiles',
      { t7: {} },
      '/bands/0/tiles/t7: There is no tile “t7”. Remove this place, or add the tile.',
    ],
    [
      'formatVersion',
      7,
      '/formatVersion: This collection has format version 7; this Noria reads up to 3. Open it with a newer Noria.',
    ],
    [
      'formatVersion',
      'one',
      '/formatVersion: “formatVersion” is a whole number from 1; here it is "one". Is this a Noria collection?',
    ],
  ])('refuses %s = %j with a path and what to do', (path, value, message) => {
    expect(said(withValue(path, value))).toContain(message);
    expect(checkDocument(withValue(path, value)).document).toBeNull();
  });

  test('a picture tile names a picture that is there', () => {
    const tile = (focalPoint: object) =>
      cardWith('picture', 't1', { picture: { picture: 'hut', focalPoint } });
    expect(said(withValue('tiles.t1', tile({ x: 0.5, y: 2 })))).toEqual([
      '/tiles/t1/parts/0/focalPoint/y: A share is a number from 0 to 1; here it is 2.',
    ]);
    expect(said(withValue('tiles.t1', tile({ x: 0, y: 1 })))).toEqual([
      '/tiles/t1/parts/0: There is no picture “hut” in the collection. Add it to “pictures”, or write null.',
    ]);
  });

  test('a lacking field is an error, an unknown one is kept with a notice', () => {
    const lacking = JSON.parse(JSON.stringify(sample([[1, 1]]))) as Record<string, unknown>;
    delete lacking.look;
    expect(said(lacking)).toEqual(['/look: A collection lacks “look”. Add it.']);
    const { document, problems } = checkDocument(withValue('tiles.t1.colour', 'red'));
    expect(document?.tiles.t1).toHaveProperty('colour', 'red');
    expect(problems).toMatchObject([{ path: '/tiles/t1/colour', severity: 'notice' }]);
  });

  test.each(['javascript:alert(1)', ' JavaScript:alert(1)', 'data:text/html,x'])(
    'an action does not lead to %s',
    (address) => {
      const tile = cardWith('action', 't1', { action: { words: 'Go', address } });
      expect(said(withValue('tiles.t1', tile)).join()).toContain(
        '/tiles/t1/parts/0/address: An address starts with',
      );
    },
  );

  test.each([null, 3, 'text', [], undefined, {}, { formatVersion: 1 }])('survives %j', (input) => {
    expect(checkDocument(input).document).toBeNull();
    expect(said(input).length).toBeGreaterThan(0);
  });

  test('a name such as __proto__ is no id', () => {
    const hostile = JSON.parse('{"__proto__": {"id": "__proto__"}}') as unknown;
    expect(said(withValue('pictures', hostile)).join()).toContain('An id is written like');
  });
});
