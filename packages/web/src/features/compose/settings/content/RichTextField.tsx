import { isAddress, plainWords, type Block, type RichSpan, type Words } from '@noria/core';
import { EditorContent, useEditor, type Editor, type JSONContent } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Italic, Link2, List, ListOrdered } from 'lucide-react';
import { useEffect, useRef, useState, type SyntheticEvent } from 'react';
import { Button, SignButton } from '../../../../ui/Button';

interface RichTextFieldProps {
  readonly name: string;
  readonly value: Words;
  readonly onType: (value: Words) => void;
}

const EXTENSIONS = [
  StarterKit.configure({
    heading: false,
    blockquote: false,
    code: false,
    codeBlock: false,
    horizontalRule: false,
    strike: false,
    underline: false,
    trailingNode: false,
    link: { openOnClick: false, autolink: false, isAllowedUri: isAddress },
  }),
];

/** Words with paragraphs, lists, weight, emphasis and links. */
export function RichTextField({ name, value, onType }: RichTextFieldProps) {
  const written = useRef(value);
  const editor = useEditor({
    extensions: EXTENSIONS,
    content: toEditor(value),
    editorProps: {
      attributes: {
        'aria-label': name,
        'aria-multiline': 'true',
        role: 'textbox',
        class: 'rich min-h-[62px] max-h-[220px] overflow-y-auto px-2 py-1.5 outline-none',
      },
    },
    onUpdate: ({ editor: at }) => {
      const words = fromEditor(at.getJSON());
      written.current = words;
      onType(words);
    },
  });
  useEffect(() => {
    // What came from elsewhere, such as an undo, is shown; what was just typed here stays as it is.
    if (JSON.stringify(written.current) === JSON.stringify(value)) return;
    written.current = value;
    editor.commands.setContent(toEditor(value), { emitUpdate: false });
  }, [editor, value]);
  return (
    <div className="rounded-s bg-field focus-within:outline-2 focus-within:outline-copper">
      <Marks editor={editor} />
      <EditorContent editor={editor} />
    </div>
  );
}

function Marks({ editor }: { editor: Editor }) {
  const [linking, setLinking] = useState<string | null>(null);
  // The editor tells of what is marked where the caret is only by its changes.
  const [, redraw] = useState(0);
  useEffect(() => {
    const onChange = () => redraw((n) => n + 1);
    editor.on('transaction', onChange);
    return () => void editor.off('transaction', onChange);
  }, [editor]);
  const link = (event: SyntheticEvent) => {
    event.preventDefault();
    const address = (linking ?? '').trim();
    const chain = editor.chain().focus().extendMarkRange('link');
    if (address === '') chain.unsetLink().run();
    else if (isAddress(address)) chain.setLink({ href: address }).run();
    else return;
    setLinking(null);
  };
  const sign = (label: string, mark: string, run: () => void, icon: typeof Bold) => {
    const Icon = icon;
    return (
      <SignButton
        name={label}
        className="size-6! aria-pressed:bg-raised aria-pressed:text-copper-ink"
        aria-pressed={editor.isActive(mark)}
        onClick={run}
      >
        <Icon size={13} aria-hidden />
      </SignButton>
    );
  };
  return (
    <div className="border-b border-hair p-0.5">
      <div role="toolbar" aria-label="Marks of the text" className="flex gap-0.5">
        {sign('Strong', 'bold', () => editor.chain().focus().toggleBold().run(), Bold)}
        {sign('Emphasis', 'italic', () => editor.chain().focus().toggleItalic().run(), Italic)}
        {sign('List', 'bulletList', () => editor.chain().focus().toggleBulletList().run(), List)}
        {sign(
          'Numbered list',
          'orderedList',
          () => editor.chain().focus().toggleOrderedList().run(),
          ListOrdered,
        )}
        {sign('Link', 'link', () => setLinking(String(editor.getAttributes('link').href ?? '')), Link2)}
      </div>
      {linking !== null && (
        <form onSubmit={link} className="grid grid-cols-[1fr_auto] gap-1 p-1">
          <input
            autoFocus
            aria-label="Where the link leads"
            placeholder="https://… or #part"
            value={linking}
            aria-invalid={!isAddress(linking.trim())}
            className="h-6 min-w-0 rounded-s bg-raised px-2 outline-none"
            onChange={(event) => setLinking(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && setLinking(null)}
          />
          <Button type="submit" className="h-6!">
            Set
          </Button>
        </form>
      )}
    </div>
  );
}

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

function toEditor(words: Words): JSONContent {
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
function fromEditor({ content = [] }: JSONContent): Words {
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
