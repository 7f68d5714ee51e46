import type { Part } from '@noria/core';
import { Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { useSetPart } from './useSetPart';
import type { PartProps } from './partProps';

interface WordsRowProps extends PartProps<Extract<Part, { readonly words: string }>> {
  readonly label: string;
  readonly lines?: number;
  readonly hint?: string;
}

/** The words of a part; they take effect while they are typed. */
export function WordsRow({ part, ids, differs, label, lines, hint }: WordsRowProps) {
  const set = useSetPart({ part, ids });
  return (
    <Row label={label}>
      <WordsField
        value={part.words}
        {...(lines && { lines })}
        {...(differs ? { hint: 'different words' } : hint && { hint })}
        onType={(value) => set('words', label, value)}
      />
    </Row>
  );
}
