import { pictureIn } from './plainName.js';
import { describe, expect, test } from '@jest/globals';
import { filterTable, importTable, sortTable, updateTable } from './commands.js';
import { setKind } from '../commands/kinds.js';
import { guessKey, guessMapping, guessRecipe } from './mapping.js';
import { readTable, TableError } from './readTable.js';
import { change } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { emptyDocument } from '../emptyDocument.js';
import { STARTERS } from '../recipes/starters.js';
import { heldBy, hold } from '../../testing/held.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Recipe } from '../../document/types.js';

const bytes = (text: string) => new TextEncoder().encode(text);
const note = STARTERS.find(({ id }) => id === 'note') as Recipe;

describe('a table', () => {
  test('is read from CSV with quotes, other separators and a mark at its start', () => {
    const { columns, rows } = readTable(
      bytes('\ufeffname;text\r\n"Hut; two";"He said ""soup"""\r\n\r\nHut four;\r\n'),
    );
    expect(columns).toEqual(['name', 'text']);
    expect(rows).toEqual([
      { name: 'Hut; two', text: 'He said "soup"' },
      { name: 'Hut four', text: '' },
    ]);
  });

  test('is read from JSON', () => {
    expect(
      readTable(bytes('{"huts": [{"name": "Two", "beds": 12}, {"name": "Four", "open": true}]}')),
    ).toEqual({
      columns: ['name', 'beds', 'open'],
      rows: [
        { name: 'Two', beds: '12', open: '' },
        { name: 'Four', beds: '', open: 'true' },
      ],
      notices: [],
    });
  });

  test('that is not UTF-8 is read as Windows-1252, with a notice', () => {
    const { rows, notices } = readTable(Uint8Array.from([...bytes('name\nH'), 0xfc, ...bytes('tte\n')]));
    expect(rows).toEqual([{ name: 'Hütte' }]);
    expect(notices[0]).toContain('Windows-1252');
  });

  test('of uneven lines is read with a notice', () => {
    expect(readTable(bytes('a,b\n1\n2,3,4\n')).notices).toEqual([
      'Lines 2, 3: not as many cells as columns; what lacks is empty, what is over is left out.',
    ]);
  });

  test.each<[string, Uint8Array, string]>([
    [
      'two encodings',
      Uint8Array.from([...bytes('name\nHütte\nH'), 0xfc, ...bytes('tte\n')]),
      'mixes two encodings: it is UTF-8, but not in line 3',
    ],
    ['open quotes', bytes('name,text\n"Hut two,soup\n'), 'a quotation mark is not closed'],
    [
      'a quote alone',
      bytes('name,text\n"Hut "two"",soup\n'),
      'a quotation mark is not closed, or stands inside of a cell alone',
    ],
    ['no rows', bytes('name,text\n'), 'no rows below its heading'],
    ['a name twice', bytes('name,name\n1,2\n'), 'Two columns are called “name”'],
    [
      'a heading of a megabyte',
      bytes(`name\n${'x'.repeat(1_000_000)}\n`),
      'Row 1, “name”: 1000000 characters; at most 20000',
    ],
    ['a sheet that is no text', bytes('n\0a\0m\0e\0\n\0a\0'), 'no text can have'],
    ['JSON with a sign that no text has', bytes('[{"name": "a\\u0000b"}]'), 'no text can have'],
    ['no JSON', bytes('[{"name": '), 'This is not JSON'],
    ['JSON that is no table', bytes('[1, 2]'), 'a list of objects'],
    ['too many bytes', new Uint8Array(9 * 1024 * 1024), 'at most 8388608 are read'],
  ])('with %s is refused', (_, input, words) => {
    expect(() => readTable(input)).toThrow(TableError);
    expect(() => readTable(input)).toThrow(words);
  });
});

describe('tiles from a table', () => {
  const csv = 'no,title,text\n1,Two,Soup\n2,Four,Stars\n10,Six,Snow\n';
  const read = readTable(bytes(csv));
  let made = 0;
  const freshId = () => `row-${made++}`;
  const run = (document: CollectionDocument, ...commands: Command[]) => {
    const after = commands.reduce((each, command) => change(each, command).document, document);
    expect(checkDocument(JSON.parse(JSON.stringify(after))).problems).toEqual([]);
    return after;
  };
  const mapping = guessMapping(note, read);
  const imported = run(
    emptyDocument('Huts'),
    importTable(read, {
      id: 'huts',
      name: 'Huts',
      recipe: note,
      variant: null,
      key: 'no',
      mapping,
      position: 0,
      freshId,
    }),
  );
  const headings = ({ order, tiles }: CollectionDocument) => order.map((id) => heldBy(tiles[id]).heading);

  test('are one a row, filled by slots', () => {
    expect(guessKey(read)).toBe('no');
    expect(mapping).toEqual({ Heading: 'title', Text: 'text' });
    expect(headings(imported)).toEqual(['Two', 'Four', 'Six']);
    const [first] = Object.values(imported.tiles);
    expect(first).toMatchObject({ recipe: { recipe: 'note' } });
    // A number calls nothing.
    expect(first?.name).toBeUndefined();
    expect(heldBy(first).text).toBe('Soup');
  });

  test('are sorted, and set aside by a filter as they are', () => {
    const down = run(imported, sortTable('huts', { column: 'no', descending: true }));
    expect(headings(down)).toEqual(['Six', 'Four', 'Two']);
    const byHand = run(down, hold([down.order[1] ?? ''], { heading: 'By hand' }));
    const few = run(byHand, filterTable('huts', { column: 'text', words: 'so' }));
    expect(headings(few)).toEqual(['Two']);
    expect(headings(run(few, filterTable('huts', null)))).toEqual(['Six', 'By hand', 'Two']);
  });

  test('have their cells in a format, and keep it when the table comes in anew', () => {
    const beds = readTable(bytes('no,title,text\n1,2400,2027-06-05\n2,closed,soon\n'));
    const formats = { title: 'number', text: 'day-month' } as const;
    const options = { id: 'beds', name: 'Beds', recipe: note, variant: null, key: 'no', mapping, formats };
    const first = run(emptyDocument('Huts'), importTable(beds, { ...options, position: 0, freshId }));
    const said = ({ order, tiles }: CollectionDocument) =>
      order.map((id) => [heldBy(tiles[id]).heading, heldBy(tiles[id]).text]);
    expect(said(first)).toEqual([
      ['2,400', 'June 5'],
      ['closed', 'soon'],
    ]);
    const byHand = run(first, hold([first.order[0] ?? ''], { text: 'In June' }));
    const next = readTable(bytes('no,title,text\n1,3100,2027-06-12\n2,12,2027-07-01\n'));
    const { command, report } = updateTable(byHand, 'beds', next, { freshId, removeGone: true });
    expect(report.kept).toEqual({ 1: ['text'] });
    expect(said(run(byHand, command))).toEqual([
      ['3,100', 'In June'],
      ['12', 'July 1'],
    ]);
  });

  test('keep what was changed by hand when the table comes in anew, and it is said what changed', () => {
    const byHand = run(imported, hold([imported.order[0] ?? ''], { heading: 'By hand' }));
    const next = readTable(bytes('no,title,text\n1,Zwei,Bread\n10,Six,Snow\n11,Eight,Wind\n'));
    const { command, report } = updateTable(byHand, 'huts', next, { freshId, removeGone: true });
    expect(report).toEqual({ changed: { 1: ['Text'] }, came: ['11'], went: ['2'], kept: { 1: ['title'] } });
    const after = run(byHand, command);
    expect(headings(after)).toEqual(['By hand', 'Six', 'Eight']);
    expect(heldBy(after.tiles[after.order[0] ?? '']).text).toBe('Bread');
    // Taken in once more, nothing is new.
    expect(updateTable(after, 'huts', next, { freshId, removeGone: true }).report).toEqual({
      changed: {},
      came: [],
      went: [],
      kept: {},
    });
  });

  test('stay by themselves when their rows went and that was asked for', () => {
    const { command } = updateTable(imported, 'huts', readTable(bytes('no,title,text\n1,Two,Soup\n')), {
      freshId,
      removeGone: false,
    });
    expect(headings(run(imported, command))).toEqual(['Two', 'Four', 'Six']);
  });

  test.each([
    ['no,title,text\n1,Two,Soup\n1,Four,Stars\n', 'Two rows have the “no” 1'],
    ['no,title,text\n,Two,Soup\n', 'Row 1 has no “no”'],
    ['title,text\nTwo,Soup\n', 'which tells rows apart, is not there any more'],
    ['no,title\n__proto__,x\n', 'can’t be a key'],
  ])('are not touched by a table whose key fails: %j', (text, words) => {
    expect(() =>
      updateTable(imported, 'huts', readTable(bytes(text)), { freshId, removeGone: true }),
    ).toThrow(words);
  });
});

test.each([
  ['Hut at dusk', 'hut at dusk'],
  ['hut-at-dusk.webp', 'hut at dusk'],
  ['pictures\\winter\\Hut at dusk.JPG', 'hut at dusk'],
  ['https://example.org/media/hut%20at%20dusk.jpeg?w=800#top', 'hut at dusk'],
  ['https://example.org/media/', 'media'],
  ['100% snow.png', '100 snow'],
  ['  ', ''],
])('a cell “%s” names the picture “%s”', (cell, name) => {
  expect(pictureIn(cell)).toBe(name);
});

describe('a table of pictures', () => {
  const table = readTable(bytes('no,picture,caption\n1,ridge.jpg,Ridge\n2,snow.jpg,Snow\n'));

  test('takes the recipe that has a place for most of its columns', () => {
    expect(guessRecipe(STARTERS, table)?.id).toBe('plain-picture');
    const words = readTable(bytes('no,picture,title,text\n1,a,b,c\n'));
    expect(guessMapping(guessRecipe(STARTERS, words) as Recipe, words)).toMatchObject({
      Picture: 'picture',
      Heading: 'title',
      Text: 'text',
    });
    expect(guessRecipe(STARTERS, readTable(bytes('x\n1\n')))?.id).toBe(STARTERS[0]?.id);
    expect(guessRecipe([], table)).toBeUndefined();
  });

  test('calls tiles by a key of words, and not by a number', () => {
    const recipe = STARTERS.find(({ id }) => id === 'plain-picture') as Recipe;
    const names = (text: string, key: string) => {
      const read = readTable(bytes(text));
      let k = 0;
      const options = { id: 't', name: 'T', recipe, variant: null, key, mapping: {}, position: 0 };
      const command = importTable(read, { ...options, freshId: () => `n${k++}` });
      const made = change(emptyDocument('Huts'), command).document;
      return made.order.map((id) => made.tiles[id]?.name);
    };
    expect(names('no,hut\n1,Snow\n2,Larch\n', 'no')).toEqual([undefined, undefined]);
    expect(names('no,hut\n1,Snow\n2,Larch 4\n', 'hut')).toEqual(['Snow', 'Larch 4']);
  });

  test.each([
    ['bento', 2],
    ['masonry', 1],
    ['rows', 1],
  ] as const)('becomes tiles of a %s %i columns wide', (kind, span) => {
    const recipe = guessRecipe(STARTERS, table) as Recipe;
    const mapping = guessMapping(recipe, table);
    let k = 0;
    const freshId = () => `n${k++}`;
    const made = [
      setKind(kind, 0, 'all'),
      importTable(table, {
        id: 't',
        name: 'Walls',
        recipe,
        variant: null,
        key: 'no',
        mapping,
        position: 0,
        freshId,
      }),
    ].reduce<CollectionDocument>((each, command) => change(each, command).document, emptyDocument('Huts'));
    expect(made.order.map((id) => made.tiles[id]?.place.columnSpan)).toEqual([span, span]);
  });
});
