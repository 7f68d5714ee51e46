import { describe, expect, test } from '@jest/globals';
import { runInNewContext } from 'node:vm';
import { HtmlValidate } from 'html-validate';
import { cardWith } from '../testing/held.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { change } from '../edit/patch/change.js';
import { groupTiles } from '../edit/commands/groups.js';
import { elementName } from './element/writeElement.js';
import { FORM_NAMES, isForm, type Form } from './formNames.js';
import { tileData } from './tiles/writeTiles.js';
import { writeForm } from './forms.js';
import type { CollectionDocument, Tile } from '../document/types.js';

const collection = (...tiles: Tile[]): CollectionDocument => ({
  ...sample([]),
  name: 'Huts',
  tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])),
  order: tiles.map(({ id }) => id),
});
const huts = collection(
  cardWith('text', 'a', { eyebrow: 'Winter', heading: 'Seven huts', text: 'One path.' }),
  cardWith('stat', 'b', { figure: '-184', label: '=1+1, "beds"' }),
  { ...cardWith('quote', 'c', { quote: 'Snow\nagain', source: '@warden' }), link: '#book' },
);
const grouped = change(huts, groupTiles(['a', 'b'], 'g', 0)).document;
const files = (form: Form, document = huts) => writeForm(form, document, LETTERS).files;

test('forms are told by their names', () => {
  expect(FORM_NAMES.every(isForm)).toBe(true);
  expect([isForm('poster'), isForm(null), isForm('constructor')]).toEqual([false, false, false]);
  for (const form of FORM_NAMES) expect(Object.keys(files(form)).length).toBeGreaterThan(0);
});

describe('a grid only', () => {
  test('has rules for the places of items, and none for what is in them', () => {
    const { 'huts.css': css = '', 'huts.html': html = '' } = files('grid', grouped);
    expect(css).not.toMatch(/font|color|background|\[data-|collection/);
    expect(css).toMatch(/\.huts \.\w[\w-]* > \*/);
    expect(html).toMatch(
      /<div class="huts">\n {2}<div class="[\w-]+">\n {4}<div class="seven-huts">Seven huts<\/div>/,
    );
    const report = new HtmlValidate({ extends: ['html-validate:recommended'] }).validateStringSync(html);
    expect(report.results).toEqual([]);
  });

  test('finds them by their order where it is asked to, in groups too', () => {
    const { 'huts.css': css = '', 'huts.html': html = '' } = files('grid-by-order', grouped);
    expect(css).toContain('.huts > :nth-child(1) > *');
    expect(css).not.toMatch(/\.(?!huts\b)[a-z]/);
    expect(html).not.toMatch(/class="(?!huts")/);
  });

  test('measures what is around it, or the window where the collection does', () => {
    expect(files('grid')['huts.css']).toMatch(/^:has\(> \.huts\) \{\n {2}container-type: inline-size;/);
    expect(files('grid', { ...huts, queries: 'media' })['huts.css']).not.toContain('container-type');
  });
});

describe('a custom element', () => {
  test('has a name with a hyphen', () => {
    expect(elementName({ name: 'Huts' })).toBe('huts-grid');
    expect(elementName({ name: 'Winter at the huts' })).toBe('winter-at-the-huts');
    expect(elementName({ name: '…' })).toBe('grid-grid');
  });

  test('holds any words without ending, or becoming, a script', () => {
    const hostile = '`${alert(1)}` \\ </script> \u2028 */';
    const { 'huts-grid.js': script = '' } = files('element', {
      ...collection(cardWith('text', 'a', { heading: hostile, text: hostile })),
      name: 'Huts',
    });
    expect(script).not.toMatch(/<\/script/i);
    const run = script
      .replace('import.meta.url', '"https://huts.example/a/"')
      .replace(/let sheet;[^]*$/, '({ html, css });');
    const alert = () => {
      throw new Error('It ran.');
    };
    const made = runInNewContext(run, { URL, alert }) as { html: string; css: string };
    expect(made.html).toContain('`${alert(1)}` \\ &lt;/script&gt;');
    expect(made.css).toContain(':host');
  });

  test('finds pictures and fonts beside its own file', () => {
    const script = files('element')['huts-grid.js'] ?? '';
    expect(script).not.toContain('noria-base');
    expect(script).toMatch(/\["[^"]+","fonts\/[^"]+\.woff2",\{"style":"normal"/);
  });
});

describe('what tiles say', () => {
  test('is a line each in a table that a spreadsheet takes for words', () => {
    const csv = files('csv')['huts.csv'] ?? '';
    expect(csv.split('\r\n')[0]).toBe(
      'Name,Kind,Group,Columns,Rows,Link,Eyebrow,Heading,Text,Figure,Label,Quote,Source',
    );
    expect(csv).toContain('-184');
    expect(csv).toContain(`"'=1+1, ""beds"""`);
    expect(csv).toContain("'@warden");
    expect(csv).toContain('#book');
    expect(csv).toContain('"Snow\nagain"');
  });

  test('is data with the names of the groups that they are in', () => {
    const data = JSON.parse(files('json', grouped)['huts.json'] ?? '') as { tiles: unknown[] };
    expect(data.tiles).toEqual(tileData(grouped));
    const [group, first] = tileData(grouped);
    expect(first).toMatchObject({ group: group?.name, holds: { Heading: 'Seven huts', Text: 'One path.' } });
    expect(tileData(grouped).find(({ link }) => link === '#book')?.holds.Source).toBe('@warden');
  });
});
