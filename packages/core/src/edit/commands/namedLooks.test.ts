import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../../check/checkDocument.js';
import { fromDesignTokens, toDesignTokens } from '../../look/designTokens.js';
import { namedLooksCss } from '../../look/css.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { calledIn } from '../../look/named.js';
import { writePage } from '../../export/page/writePage.js';
import { change } from '../patch/change.js';
import { removeNamedLook, setNamedLook } from './namedLooks.js';
import { setLook } from './tiles.js';
import type { CollectionDocument, NamedLook } from '../../document/types.js';
import type { Command } from '../patch/change.js';

const after = (...commands: Command[]) =>
  commands.reduce<CollectionDocument>(
    (document, command) => change(document, command).document,
    sample([[1, 1]]),
  );
const pine: NamedLook = { id: 'colour-1', name: 'Pine', kind: 'colour', value: '#0b6e4f' };
const link: NamedLook = {
  id: 'colour-2',
  name: 'Link',
  kind: 'colour',
  value: '#0b6e4f',
  follows: 'colour-1',
};
const mark: NamedLook = {
  id: 'colour-3',
  name: 'Mark',
  kind: 'colour',
  value: '#0b6e4f',
  follows: 'colour-2',
};
const all = [pine, link, mark].map(setNamedLook);

describe('named looks that follow others', () => {
  test('have the value of the one that they follow, over any steps, until they get one of their own', () => {
    const changed = after(...all, setNamedLook({ ...pine, value: '#123456' }));
    expect(Object.values(changed.namedLooks ?? {}).map(({ value }) => value)).toEqual([
      '#123456',
      '#123456',
      '#123456',
    ]);
    expect(changed.namedLooks?.['colour-3']?.follows).toBe('colour-2');
    const own = after(...all, setNamedLook({ ...link, value: '#ffffff' }));
    expect(own.namedLooks?.['colour-2']).not.toHaveProperty('follows');
    expect(Object.values(own.namedLooks ?? {}).map(({ value }) => value)).toEqual([
      '#0b6e4f',
      '#ffffff',
      '#ffffff',
    ]);
    const removed = after(...all, removeNamedLook('colour-1'));
    expect(removed.namedLooks?.['colour-2']).not.toHaveProperty('follows');
    expect(checkDocument(removed).problems).toEqual([]);
  });

  test('are variables of each other in CSS and aliases in tokens, and come back so', () => {
    const { namedLooks = {} } = after(...all);
    expect(namedLooksCss(namedLooks)).toEqual({
      '--colour-1': '#0b6e4f',
      '--colour-2': 'var(--colour-1)',
      '--colour-3': 'var(--colour-2)',
    });
    const tokens = toDesignTokens(namedLooks);
    expect(tokens).toMatchObject({
      colour: {
        pine: { $value: { hex: '#0b6e4f' } },
        link: { $value: '{colour.pine}' },
        mark: { $value: '{colour.link}' },
      },
    });
    const { looks } = fromDesignTokens(JSON.parse(JSON.stringify(tokens)));
    expect(looks).toEqual(namedLooks);
  });

  test('of which none is there, or that go in a circle, have their own value', () => {
    const circle = { ...pine, follows: 'colour-2' } as NamedLook;
    expect(namedLooksCss({ 'colour-1': circle, 'colour-2': link })).toEqual({
      '--colour-1': '#0b6e4f',
      '--colour-2': '#0b6e4f',
    });
    expect(namedLooksCss({ 'colour-3': mark })).toEqual({ '--colour-3': '#0b6e4f' });
  });
});

test('the page calls named looks by their names, each another', () => {
  const document = after(
    ...all,
    setNamedLook({ id: 'colour-4', name: 'pine!', kind: 'colour', value: '#111111' }),
    setNamedLook({ id: 'colour-5', name: '山', kind: 'colour', value: '#222222' }),
    setLook(['t1'], { fill: '{colour-3}', textColour: '{colour-4}' }),
  );
  const css = writePage(document, LETTERS).files['style.css'] ?? '';
  expect(css).toContain('--pine: #0b6e4f;');
  expect(css).toContain('--pine-2: #111;');
  expect(css).toContain('--colour-5: #222;');
  expect(css).toContain('--mark: var(--link);');
  expect(css).toMatch(/background: var\(--mark\)/);
  expect(css).toMatch(/color: var\(--pine-2\)/);
  expect(css).not.toMatch(/--colour-[1-4]\b/);
  // Nor by a name that a page has for itself.
  const share = { share: { id: 'share', name: 'Share', kind: 'space', value: 4 } } as const;
  expect([...calledIn(share).values()]).toEqual(['share-2']);
});
