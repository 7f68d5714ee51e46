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
export function WordsRow({ tile, part, label, lines, hint }: WordsRowProps) {
  const set = useSetPart({ tile, part });
  return (
    <Row label={label}>
      <WordsField
        value={part.words}
        {...(lines && { lines })}
        {...(hint && { hint })}
        onType={(value) => set('words', label, value)}
      />
    </Row>
  );
}
