import { describe, expect, test } from '@jest/globals';
import { headingLevels, hasMainHeading } from '../../parts/headings.js';
import { motionCss } from './motionCss.js';
import { plainWords, wordsHtml } from '../../parts/richText.js';
import { change } from '../../edit/patch/change.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { newTile } from '../../parts/newTile.js';
import { setTile } from '../../edit/commands/tiles.js';
import { cardWith, hold } from '../../testing/held.js';
import type { Command } from '../../edit/patch/change.js';
import type { CollectionDocument, Words } from '../../document/types.js';

const texts = (...ids: string[]): CollectionDocument => ({
  ...emptyDocument('Huts'),
  tiles: Object.fromEntries(ids.map((id) => [id, newTile('text', id)])),
  order: ids,
});
const run = (document: CollectionDocument, ...commands: Command[]) =>
  commands.reduce((each, command) => change(each, command).document, document);
const levels = (document: CollectionDocument) =>
  Object.fromEntries(
    [...headingLevels(document)].map(([id, all]) => [id, all.find((level) => level !== undefined)]),
  );

describe('levels of headings', () => {
  test('go one down for each group, and leave none out', () => {
    const grouped = run(texts('a', 'b', 'c'), groupTiles(['b'], 'g', 0), groupTiles(['g'], 'h', 0));
    expect(levels(grouped)).toEqual({ a: 2, b: 3, c: 2 });
    const first = run(texts('a', 'b'), groupTiles(['a'], 'g', 0));
    expect(levels(first)).toEqual({ a: 2, b: 2 });
  });

  test('are what a tile says, and those after follow', () => {
    const said = run(texts('a', 'b'), hold(['a'], { heading: { level: 1 } }));
    expect(levels(said)).toEqual({ a: 1, b: 2 });
    expect(hasMainHeading(said)).toBe(true);
    expect(hasMainHeading(run(said, hold(['a'], { heading: '' })))).toBe(false);
    expect(levels(run(said, hold(['a'], { heading: { level: undefined } })))).toEqual({ a: 2, b: 2 });
  });
});

describe('rich words', () => {
  test.each<[Words, string[]]>([
    ['One\n\n<b>', ['<p>One</p>', '<p>&lt;b&gt;</p>']],
    ['One\ntwo\r\n\r\nthree', ['<p>One<br>two</p>', '<p>three</p>']],
    [[{ kind: 'paragraph', spans: [] }], []],
    [[{ kind: 'list', items: [] }], []],
    [
      [{ kind: 'paragraph', spans: [{ text: 'a\nb', strong: true, emphasis: true, link: '#x"y' }] }],
      ['<p><a href="#x&quot;y"><strong><em>a<br>b</em></strong></a></p>'],
    ],
    [
      [{ kind: 'numbered', items: [[{ text: '1' }, { text: '<2>', emphasis: true }]] }],
      ['<ol><li>1<em>&lt;2&gt;</em></li></ol>'],
    ],
  ])('%j are written as %j', (words, html) => expect(wordsHtml(words)).toEqual(html));

  test('are read without their marks', () => {
    const words: Words = [
      { kind: 'paragraph', spans: [{ text: 'Bring a ' }, { text: 'spoon', strong: true }] },
      { kind: 'list', items: [[{ text: 'bread' }], [{ text: 'key', link: '#k' }]] },
    ];
    expect(plainWords(words)).toBe('Bring a spoon\n\nbread\nkey');
  });
});

describe('motion', () => {
  test('is only for those who did not ask for less, and for the tiles that have it', () => {
    const moving = run(
      texts('a', 'b', 'c'),
      setTile(['a', 'b'], { motion: { entrance: 'rise', hover: 'none' } }),
      setTile(['c'], { motion: { entrance: 'none', hover: 'lift' } }),
    );
    const [media = '', keyframes = '', ...rest] = motionCss(moving);
    expect(rest).toEqual([]);
    expect(media).toMatch(/^@media \(prefers-reduced-motion: no-preference\)/);
    expect(media.match(/animation: rise/g)).toHaveLength(1);
    expect(media).toContain('[data-tile="c"]:is(:hover, :focus-within)');
    expect(keyframes).toContain('@keyframes rise');
    expect(motionCss(run(moving, setTile(['a', 'b', 'c'], { motion: undefined })))).toEqual([]);
  });

  test('of a film that plays by itself gives way to its poster', () => {
    const film = cardWith('film', 'f', { film: { film: 'snow', poster: 'frame' } });
    const document = { ...emptyDocument('Film'), tiles: { f: film }, order: ['f'] } as CollectionDocument;
    expect(motionCss(document).join()).toMatch(
      /prefers-reduced-motion: reduce[\s\S]*\[data-tile="f"\] > video[\s\S]*visibility: hidden/,
    );
    expect(motionCss(run(document, hold(['f'], { film: { playback: 'controls' } })))).toEqual([]);
  });
});
