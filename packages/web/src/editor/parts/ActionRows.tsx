import type { ActionPart } from '@noria/core';
import { Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { useSetPart } from './useSetPart';
import { WordsRow } from './WordsRow';
import type { PartProps } from './partProps';

/** A link: its words, and where it leads. */
export function ActionRows({ tile, part }: PartProps<ActionPart>) {
  const set = useSetPart({ tile, part });
  return (
    <>
      <WordsRow tile={tile} part={part} label="Label" />
      <Row label="Address">
        <WordsField
          name="Address"
          hint="https://… or #part"
          value={part.address}
          onType={(value) => set('address', 'Address', value)}
        />
      </Row>
    </>
  );
}
