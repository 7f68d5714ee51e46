import { ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useState, type ReactNode } from 'react';

/** Which folds were left open; they stay so while one goes from tile to tile. */
const left = new Map<string, boolean>();

interface FoldProps {
  readonly title: string;
  /** What is in it, in a few words, while it is closed. */
  readonly says?: string;
  readonly children: ReactNode;
}

/** Rows that are opened when they are wanted. */
export function Fold({ title, says, children }: FoldProps) {
  const [open, setOpen] = useState(left.get(title) ?? false);
  return (
    <Collapsible.Root
      className="min-w-0"
      open={open}
      onOpenChange={(next) => {
        left.set(title, next);
        setOpen(next);
      }}
    >
      <Collapsible.Trigger className="group flex h-7 w-full items-center gap-1 rounded-s text-left text-sm text-soft hover:text-ink">
        <ChevronRight
          size={13}
          aria-hidden
          className="-ml-0.5 flex-none text-faint group-data-[state=open]:rotate-90"
        />
        <span>{title}</span>
        {!open && says && <span className="ml-auto truncate pl-2 text-faint">{says}</span>}
      </Collapsible.Trigger>
      <Collapsible.Content className="grid gap-0.5 pb-1.5">{children}</Collapsible.Content>
    </Collapsible.Root>
  );
}
