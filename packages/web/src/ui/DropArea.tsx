import { useState, type DragEvent, type ReactNode } from 'react';

interface DropAreaProps {
  /** What a drop would do. */
  readonly says: string;
  readonly onFiles: (files: readonly File[]) => void;
  /** Takes all that was dropped, folders as well; left out: files alone are taken. */
  readonly onDropped?: (event: DragEvent) => void;
  readonly children: ReactNode;
}

const hasFiles = (event: DragEvent) => event.dataTransfer.types.includes('Files');

/** A whole view on which files are dropped. */
export function DropArea({ says, onFiles, onDropped, children }: DropAreaProps) {
  const [dropping, setDropping] = useState(false);
  return (
    <div
      className="flex h-full flex-col"
      onDragOver={(event) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setDropping(true);
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setDropping(false)}
      onDrop={(event) => {
        setDropping(false);
        if (!hasFiles(event)) return;
        event.preventDefault();
        if (onDropped) onDropped(event);
        else onFiles([...event.dataTransfer.files]);
      }}
    >
      {children}
      {dropping && (
        <p className="pointer-events-none fixed inset-3 grid place-items-center rounded-m border-2 border-dashed border-copper bg-copper/10 font-title text-lg font-semibold text-copper-ink">
          {says}
        </p>
      )}
    </div>
  );
}
