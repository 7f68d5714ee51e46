import { typedAddress, type Words } from '@noria/core';
import { EditorContent, useEditor, type Editor } from '@tiptap/react';
import { Bold, Italic, Link2, List, ListOrdered } from 'lucide-react';
import { useEffect, useId, useRef, useState, type SyntheticEvent } from 'react';
import { Button, SignButton } from '../../../ui/Button';
import { FieldNote, giveFocusBack } from '../../../ui/typing';
import { EDITOR_PARTS, fromEditor, toEditor } from './editorWords';

interface RichTextFieldProps {
  readonly name: string;
  readonly value: Words;
  readonly onType: (value: Words) => void;
}

/** Words with paragraphs, lists, weight, emphasis and links. */
export function RichTextField({ name, value, onType }: RichTextFieldProps) {
  const written = useRef(value);
  const before = useRef(value);
  const editor = useEditor({
    extensions: EDITOR_PARTS,
    content: toEditor(value),
    // The editor's own style sheet goes when the one before it goes, and spaces would not be kept.
    injectCSS: false,
    editorProps: {
      attributes: {
        'aria-label': name,
        'aria-multiline': 'true',
        role: 'textbox',
        class:
          'rich relative min-h-[62px] max-h-[220px] overflow-y-auto px-2 py-1.5 wrap-break-word whitespace-break-spaces outline-none',
      },
      // The editor would swallow undo and redo, which are the collection’s.
      handleDOMEvents: {
        keydown: (_, event) => (event.ctrlKey || event.metaKey) && 'zy'.includes(event.key.toLowerCase()),
      },
      // As every field of words: Escape restores them, and Ctrl + Enter leaves them as they are.
      handleKeyDown: ({ dom }, event) => {
        const isDone = event.key === 'Enter' && (event.ctrlKey || event.metaKey);
        if (event.key !== 'Escape' && !isDone) return false;
        event.preventDefault();
        event.stopPropagation();
        if (!isDone && written.current !== before.current) onType(before.current);
        giveFocusBack(dom);
        return true;
      },
    },
    onFocus: () => void (before.current = written.current),
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
  const why = useId();
  const trouble = linking === null ? null : (typedAddress(linking).trouble ?? null);
  const link = (event: SyntheticEvent) => {
    event.preventDefault();
    const { address } = typedAddress(linking ?? '');
    const chain = editor.chain().focus().extendMarkRange('link');
    if (address === '') chain.unsetLink().run();
    else if (address !== undefined) chain.setLink({ href: address }).run();
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
      <div role="toolbar" aria-label="Text formatting" className="flex gap-0.5">
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
        <form onSubmit={link} className="relative grid grid-cols-[1fr_auto] gap-1 p-1">
          <input
            autoFocus
            aria-label="Address of the link"
            placeholder="https://… or #part"
            value={linking}
            aria-invalid={trouble !== null}
            aria-describedby={trouble === null ? undefined : why}
            className="h-6 min-w-0 rounded-s bg-raised px-2 outline-none"
            onChange={(event) => setLinking(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              event.stopPropagation();
              setLinking(null);
              editor.commands.focus();
            }}
          />
          <Button type="submit" className="h-6!">
            Set
          </Button>
          <FieldNote id={why}>{trouble}</FieldNote>
        </form>
      )}
    </div>
  );
}
