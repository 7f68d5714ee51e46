import type { ActionPart } from '@noria/core';
import { Row } from '../../ui/Rows';
import { AddressField } from './AddressField';
import { PART } from './fields';
import { useSetPart } from './useSetPart';
import { WordsRow } from './WordsRow';
import type { PartProps } from './partProps';

/** A link: its words, and where it leads. */
export function ActionRows({ part, ids, ...rest }: PartProps<ActionPart>) {
  const set = useSetPart({ part, ids });
  return (
    <>
      <WordsRow {...rest} part={part} ids={ids} label={PART.action.label} />
      <Row label={PART.address.label}>
        <AddressField
          hint="https://… or #part"
          value={part.address}
          onSet={(value) => set('address', PART.address.label, value)}
        />
      </Row>
    </>
  );
}
