/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { wordsHtml, type Block, type RichSpan, type Words } from '@noria/core';
import { Editor } from '@tiptap/react';
import fc from 'fast-check';
import { EDITOR_PARTS, fromEditor, toEditor } from './editorWords';

/** Words as they come out of the editor when nothing is typed. */
function through(words: Words): Words {
  const editor = new Editor({ extensions: EDITOR_PARTS, content: toEditor(words) });
  const out = fromEditor(editor.getJSON());
  editor.destroy();
  return out;
}

const letters = fc.stringMatching(/^[a-zé<&"’]{1,6}( [a-z]{1,5}){0,2}$/);
const lines = fc.array(letters, { minLength: 1, maxLength: 2 }).map((all) => all.join('\n'));
const span: fc.Arbitrary<RichSpan> = fc
  .record({
    text: lines,
    strong: fc.boolean(),
    emphasis: fc.boolean(),
    link: fc.constantFrom('', '#huts', 'https://hut.example/four'),
  })
  .map(({ text, strong, emphasis, link }) => ({
    text,
    ...(strong && { strong }),
    ...(emphasis && { emphasis }),
    ...(link && { link }),
  }));
const spans = fc.array(span, { minLength: 1, maxLength: 3 });
const block: fc.Arbitrary<Block> = fc.oneof(
  spans.map((all): Block => ({ kind: 'paragraph', spans: all })),
  fc
    .record({
      kind: fc.constantFrom('list' as const, 'numbered' as const),
      items: fc.array(spans, { minLength: 1, maxLength: 3 }),
    })
    .map((list): Block => list),
);

/** Marks that touch are written once: what the page says is the same. */
const said = (words: Words) =>
  wordsHtml(words)
    .join('')
    .replaceAll(/<\/(em|strong)><\1>|<\/a><a href="[^"]*">/g, '');

describe('words in the editor', () => {
  test('come out as they went in, marks, lists and lines', () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 4 }), (blocks) => {
        const once = through(blocks);
        expect(through(once)).toEqual(once);
        const plain = (html: string) => html.replaceAll(/<\/?(a|em|strong)[^>]*>/g, '');
        expect(plain(said(once))).toBe(plain(said(blocks)));
      }),
    );
  });

  test('stay plain as long as nothing in them is marked', () => {
    fc.assert(
      fc.property(fc.array(letters, { minLength: 1, maxLength: 4 }), (paragraphs) => {
        const words = paragraphs.join('\n\n');
        expect(through(words)).toBe(words);
      }),
    );
    expect(through('')).toBe('');
  });

  test.each<[string, Words]>([
    ['a strong word', [{ kind: 'paragraph', spans: [{ text: 'a ' }, { text: 'key', strong: true }] }]],
    ['a line that ends', [{ kind: 'paragraph', spans: [{ text: 'Hut four\nopen' }] }]],
    ['a link', [{ kind: 'paragraph', spans: [{ text: 'the way', link: 'https://hut.example/way' }] }]],
    ['a numbered list', [{ kind: 'numbered', items: [[{ text: 'up' }], [{ text: 'down' }]] }]],
    [
      'a word with all marks',
      [{ kind: 'paragraph', spans: [{ text: 'no', strong: true, emphasis: true, link: '#no' }] }],
    ],
  ])('%s is the same', (_, words) => expect(through(words)).toEqual(words));

  test('a line that ends in plain words looks in the editor as in the page', () => {
    const words = 'Hut four\nopen all winter';
    expect(wordsHtml(words)).toEqual(['<p>Hut four<br>open all winter</p>']);
    expect(wordsHtml(through(words))).toEqual(wordsHtml(words));
  });

  test('a list within a list is read as one', () => {
    const inner = { type: 'bulletList', content: [item('b')] };
    const list = { type: 'bulletList', content: [{ ...item('a'), content: [...item('a').content, inner] }] };
    expect(fromEditor({ type: 'doc', content: [list] })).toEqual([
      { kind: 'list', items: [[{ text: 'a' }], [{ text: 'b' }]] },
    ]);
  });

  test('what is pasted keeps what can be written, and no address that would run a script', () => {
    const pasted =
      '<h2>Huts</h2><p>Take <a href="javascript:alert(1)">this</a> or <a href="#b"><b>that</b></a><img src="x"></p>';
    const editor = new Editor({ extensions: EDITOR_PARTS, content: pasted });
    expect(fromEditor(editor.getJSON())).toEqual([
      { kind: 'paragraph', spans: [{ text: 'Huts' }] },
      { kind: 'paragraph', spans: [{ text: 'Take this or ' }, { text: 'that', strong: true, link: '#b' }] },
    ]);
    editor.destroy();
  });
});

const item = (text: string) => ({
  type: 'listItem',
  content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
});
