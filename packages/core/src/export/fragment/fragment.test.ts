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
  test.each([
    ['.a {\n  color: red;\n}', '#huts .a {\n  color: red;\n}'],
    ['.a,\n.b > :is(p, li) {\n}', '#huts .a,\n#huts .b > :is(p, li) {\n}'],
    [
      ':root {\n  --moss: green;\n}\nhtml {\n}\nbody {\n}',
      '#huts {\n  --moss: green;\n}\n#huts {\n}\n#huts {\n}',
    ],
    [
      '@container (width < 600px) {\n  .a::before {\n  }\n}',
      '@container (width < 600px) {\n  #huts .a::before {\n  }\n}',
    ],
    [
      '.a {\n  animation: rise 1s backwards, fade 2s;\n}\n@keyframes rise {\n  from {\n  }\n}\n@keyframes fade {\n  to {\n  }\n}',
      '#huts .a {\n  animation: huts-rise 1s backwards, huts-fade 2s;\n}\n@keyframes huts-rise {\n  from {\n  }\n}\n@keyframes huts-fade {\n  to {\n  }\n}',
    ],
    ['@font-face {\n  font-family: "Figtree";\n}', '@font-face {\n  font-family: "Figtree";\n}'],
  ])('%s', (css, own) => expect(scoped(css, 'huts')).toBe(own));
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
