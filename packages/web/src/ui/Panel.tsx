import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { SignButton } from './Button';

interface PanelProps {
  readonly name: string;
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** What stands in place of the settings until it is closed. */
export function Panel({ name, title, onClose, children }: PanelProps) {
  return (
    <aside
      aria-label={name}
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-[15px] overflow-y-auto border-r border-hair bg-panel px-4 pt-3.5 pb-4 [scrollbar-width:thin]"
    >
      <header className="flex items-center justify-between">
        <h2 className="font-title text-lg font-[650]">{title}</h2>
        <SignButton name={`Close ${name.toLowerCase()}`} onClick={onClose}>
          <X size={15} aria-hidden />
        </SignButton>
      </header>
      {children}
    </aside>
  );
}
