import { useRef, type ComponentProps } from 'react';
import { Button } from './Button';

interface FileButtonProps extends Omit<ComponentProps<typeof Button>, 'onClick'> {
  readonly testId: string;
  /** As the `accept` of a file input. */
  readonly accept: string;
  readonly multiple?: boolean;
  /** Whether all files of a folder are asked for. */
  readonly folder?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A button that asks for files. */
export function FileButton({
  testId,
  accept,
  multiple = false,
  folder = false,
  onFiles,
  ...button
}: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        multiple={multiple}
        {...(folder && { webkitdirectory: '' })}
        data-testid={testId}
        accept={accept}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          // The same file may be chosen again.
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
      <Button {...button} onClick={() => input.current?.click()} />
    </>
  );
}
