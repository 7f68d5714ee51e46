import { isAddress, plainWords, type Block, type RichSpan, type Words } from '@noria/core';
import StarterKit from '@tiptap/starter-kit';
import type { JSONContent } from '@tiptap/react';

/** What can be written: paragraphs, lists, strong, emphasis and links. */
export const EDITOR_PARTS = [
  StarterKit.configure({
    heading: false,
    blockquote: false,
    code: false,
    codeBlock: false,
    horizontalRule: false,
    strike: false,
    underline: false,
    trailingNode: false,
    // Undo is the collection’s.
    undoRedo: false,
    link: { openOnClick: false, autolink: false, isAllowedUri: isAddress },
  }),
];

const textNode = ({ text, strong, emphasis, link }: RichSpan): JSONContent[] =>
  text.split('\n').flatMap((line, k): JSONContent[] => [
    ...(k > 0 ? [{ type: 'hardBreak' }] : []),
    ...(line === ''
      ? []
      : [
          {
            type: 'text',
            text: line,
            marks: [
              ...(strong ? [{ type: 'bold' }] : []),
              ...(emphasis ? [{ type: 'italic' }] : []),
              ...(link ? [{ type: 'link', attrs: { href: link } }] : []),
            ],
          },
        ]),
  ]);

const paragraph = (spans: readonly RichSpan[]): JSONContent => ({
  type: 'paragraph',
  content: spans.flatMap(textNode),
});

/** What the editor takes: plain words with a paragraph wherever a line is empty. */
export function toEditor(words: Words): JSONContent {
  const blocks: readonly Block[] =
    typeof words === 'string'
      ? words.split(/\n\s*\n/).map((text) => ({ kind: 'paragraph', spans: [{ text }] }))
      : words;
  return {
    type: 'doc',
    content: blocks.map((block) =>
      block.kind === 'paragraph'
        ? paragraph(block.spans)
        : {
            type: block.kind === 'list' ? 'bulletList' : 'orderedList',
            content: block.items.map((item) => ({ type: 'listItem', content: [paragraph(item)] })),
          },
    ),
  };
}

function spansOf({ content = [] }: JSONContent): RichSpan[] {
  const spans: RichSpan[] = [];
  for (const { type, text = '', marks = [] } of content) {
    const has = (mark: string) => marks.find((each) => each.type === mark);
    const link = has('link')?.attrs?.href as unknown;
    const span: RichSpan = {
      text: type === 'hardBreak' ? '\n' : text,
      ...(has('bold') && { strong: true }),
      ...(has('italic') && { emphasis: true }),
      ...(typeof link === 'string' && link !== '' && { link }),
    };
    const last = spans.at(-1);
    const marksOf = ({ text: _, ...rest }: RichSpan) => JSON.stringify(rest);
    if (last && marksOf(last) === marksOf(span))
      spans[spans.length - 1] = { ...last, text: last.text + span.text };
    else spans.push(span);
  }
  return spans;
}

/** What was written: plain words as long as nothing in them is marked. */
export function fromEditor({ content = [] }: JSONContent): Words {
  const blocks = content.flatMap((node): Block[] => {
    if (node.type === 'paragraph') return [{ kind: 'paragraph', spans: spansOf(node) }];
    if (node.type !== 'bulletList' && node.type !== 'orderedList') return [];
    // A list in a list is read as one.
    const items = (list: JSONContent): RichSpan[][] =>
      (list.content ?? []).flatMap((item) =>
        (item.content ?? []).flatMap((inner) =>
          inner.type === 'paragraph' ? [spansOf(inner)] : items(inner),
        ),
      );
    return [{ kind: node.type === 'bulletList' ? 'list' : 'numbered', items: items(node) }];
  });
  const isPlain = blocks.every(
    (block) =>
      block.kind === 'paragraph' &&
      block.spans.every(
        ({ text, strong, emphasis, link }) => !strong && !emphasis && !link && !text.includes('\n'),
      ),
  );
  return isPlain ? plainWords(blocks) : blocks;
}
