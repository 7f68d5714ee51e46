import { describe, expect, test } from '@jest/globals';
import { change } from '../edit/patch/change.js';
import { enlargedSet, hasEnlarged, withEnlarged } from './enlarge.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { samplePictures } from '../testing/sample.js';
import { setTile } from '../edit/commands/tiles.js';
import { setEnlarges } from '../edit/commands/needs.js';
import { writePage } from '../export/page/writePage.js';
import { hold } from '../testing/held.js';
import type { CollectionDocument } from '../document/types.js';
import type { Command } from '../edit/patch/change.js';

const after = (document: CollectionDocument, ...commands: Command[]) =>
  commands.reduce((made, command) => change(made, command).document, document);
const start = samplePictures([1, 1, 1, 1]);
const setsOf = (document: CollectionDocument) =>
  Object.values(withEnlarged(document).tiles).map((tile) => enlargedSet(tile));
const buttons = (html: string) =>
  [...html.matchAll(/data-set="([^"]*)" aria-label="([^"]*)"/g)].map(([, ...at]) => at);

describe('pictures that open large', () => {
  test('none, and the page has neither button, dialog nor script', () => {
    const { files } = writePage(start, LETTERS);
    expect(hasEnlarged(start)).toBe(false);
    expect(Object.keys(files)).toEqual(['index.html', 'style.css']);
    expect(files['index.html']).not.toMatch(/<script|<dialog|class="enlarge"/);
    expect(files['style.css']).not.toContain('.enlarge');
  });

  test('all of them, but those that lead somewhere or show nothing; named sets stay their own', () => {
    const document = after(
      start,
      setEnlarges('all'),
      setTile(['p2'], { link: '#there' }),
      hold(['p3'], { picture: { enlarges: 'Huts' } }),
      hold(['p4'], { picture: { picture: null } }),
    );
    expect(setsOf(document)).toEqual(['pictures', null, 'Huts', null]);
    expect(setsOf(after(document, setEnlarges(null)))).toEqual([null, null, 'Huts', null]);
  });

  test('the page names the picture, asks for the script before any picture, and escapes the set', () => {
    const document = after(start, hold(['p1'], { picture: { enlarges: 'a "b" <c>' } }));
    const { files } = writePage(document, LETTERS);
    const html = files['index.html'] ?? '';
    expect(buttons(html)).toEqual([['a &quot;b&quot; &lt;c&gt;', 'Enlarge: p1']]);
    expect(html.indexOf('enlarge.js')).toBeLessThan(html.indexOf('<img'));
    expect(html.match(/<dialog/g)).toHaveLength(1);
  });

  test('opening large changes no place', () => {
    const plain = writePage(start, LETTERS).files['style.css'] ?? '';
    const large = writePage(after(start, setEnlarges('all')), LETTERS).files['style.css'] ?? '';
    const grid = (css: string) => /\.collection \{[^}]*\}/.exec(css)?.[0];
    expect(grid(large)).toBe(grid(plain));
  });
});
