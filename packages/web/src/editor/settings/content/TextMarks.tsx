import { typedAddress } from '@noria/core';
import type { Editor } from '@tiptap/react';
import { Bold, Italic, Link2, List, ListOrdered } from 'lucide-react';
import { useEffect, useId, useState, type SyntheticEvent } from 'react';
import { Button, SignButton } from '../../../ui/Button';
import { FieldNote } from '../../../ui/typing';

/** What makes marked words, lists and links of what is selected in rich text. */
export function TextMarks({ editor }: { editor: Editor }) {
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
    <>
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
    </>
  );
}
