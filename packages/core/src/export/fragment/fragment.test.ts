import { describe, expect, test } from '@jest/globals';
import { HtmlValidate } from 'html-validate';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { fragmentId, writeFragment } from './writeFragment.js';
import { scoped } from './scoped.js';
import { cardWith } from '../../testing/held.js';
import type { CollectionDocument } from '../../document/types.js';

const collection = (values: Partial<CollectionDocument> = {}): CollectionDocument => {
  const tile = cardWith('text', 't', { heading: 'Seven huts', text: 'One path.' });
  return { ...sample([[1, 1]]), name: 'Winter at the huts', tiles: { t: tile }, order: ['t'], ...values };
};

describe('a style sheet in one element', () => {
  const one = (css: string) => css.replace(/\s+/g, ' ').trim();
  test.each([
    ['.a { color: red }', [], '#huts .a { color: red; }'],
    ['.a, .b > :is(p, li) { color: red }', [], '#huts .a, #huts .b > :is(p, li) { color: red; }'],
    [
      ':root { --moss: green } html { background: red } body { margin: 0 }',
      [
        ['--moss', 'green'],
        ['background', 'red'],
        ['margin', '0'],
      ],
      '',
    ],
    [
      '@container (width < 600px) { .a::before { color: red } }',
      [],
      '@container (width < 600px) { #huts .a::before { color: red; } }',
    ],
    [
      '.a { animation: rise 1s backwards, fade 2s } @keyframes rise { from { top: 0 } } @keyframes fade { to { top: 0 } }',
      [],
      '#huts .a { animation: huts-rise 1s backwards, huts-fade 2s; } @keyframes huts-rise { from { top: 0 } } @keyframes huts-fade { to { top: 0 } }',
    ],
    ['@font-face { font-family: "Figtree" }', [], '@font-face { font-family: "Figtree" }'],
  ])('%s', (css, own, inside) => {
    const found = scoped(css, 'huts');
    expect([found.own, one(found.css)]).toEqual([own, inside]);
  });
});

describe('a fragment', () => {
  const { files } = writeFragment(collection(), LETTERS);
  const [html, css] = [files['winter-at-the-huts.html'] ?? '', files['winter-at-the-huts.css'] ?? ''];

  test('is an element of its own, valid, without a main part or a heading of a page', async () => {
    expect(html).toMatch(/^<div id="winter-at-the-huts">\n {2}<div class="collection"/);
    expect(html).not.toMatch(/<(html|head|body|main|h1|link)\b/);
    const report = await new HtmlValidate({ extends: ['html-validate:recommended'] }).validateString(html);
    expect(report.results.flatMap(({ messages }) => messages.map(({ message }) => message))).toEqual([]);
  });

  test('has no rule for anything outside of it', () => {
    const selectors = css
      .split('\n')
      .filter((line) => /^\s*[^@\s][^:]*[{,]$|^\s*[^@\s].*[{,]$/.test(line) && !/^\s*[\w-]+: /.test(line));
    expect(selectors.length).toBeGreaterThan(10);
    expect(selectors.filter((line) => !line.trim().startsWith('#winter-at-the-huts'))).toEqual([]);
  });

  test('measures its own element, whatever the collection measures', () => {
    const narrow = { id: 'below-600', below: 600, arrangement: { columns: ['1fr'] }, tiles: {} };
    const media = writeFragment(collection({ queries: 'media', bands: [narrow] }), LETTERS);
    expect(media.files['winter-at-the-huts.css']).toContain('@container (width < 600px)');
    expect(media.files['winter-at-the-huts.css']).not.toContain('@media (width');
  });

  test.each([
    ['Winter', 'winter'],
    ['7 huts', 'huts'],
    ['…', 'grid'],
  ])('of “%s” is called “%s”', (name, id) => expect(fragmentId({ name })).toBe(id));
});
