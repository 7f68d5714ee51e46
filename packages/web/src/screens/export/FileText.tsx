import { useMemo } from 'react';

/** Lines that are laid out together; those out of sight wait. */
const TOGETHER = 200;

interface FileTextProps {
  readonly name: string;
  readonly text: string;
}

/** The text of a file, to read and select, however long. */
export function FileText({ name, text }: FileTextProps) {
  const parts = useMemo(() => {
    const lines = text.split('\n');
    return Array.from({ length: Math.ceil(lines.length / TOGETHER) }, (_, k) =>
      lines.slice(k * TOGETHER, (k + 1) * TOGETHER),
    );
  }, [text]);
  return (
    <pre
      tabIndex={0}
      aria-label={`Text of ${name}`}
      className="mx-5 mb-5 overflow-auto rounded-m bg-panel p-4 font-figures text-[10.5px] leading-[1.75] shadow-[0_0_0_1px_var(--hair)] [scrollbar-width:thin]"
    >
      <code className="font-figures">
        {parts.map((lines, k) => (
          <span
            key={k}
            className="block w-max min-w-full [content-visibility:auto]"
            style={{ containIntrinsicHeight: `auto ${lines.length * 1.75}em` }}
          >
            {lines.join('\n')}
            {k < parts.length - 1 && '\n'}
          </span>
        ))}
      </code>
    </pre>
  );
}
