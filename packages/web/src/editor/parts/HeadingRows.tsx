import type { HeadingPart } from '@noria/core';
import { Choice } from '../../ui/Choice';
import { Row } from '../../ui/Rows';
import { PART } from './fields';
import { useSetPart } from './useSetPart';
import { WordsRow } from './WordsRow';
import type { PartProps } from './partProps';

const LEVELS = [
  { value: 'auto', label: 'Automatic' },
  { value: '1', label: 'Level 1, page title' },
  ...[2, 3, 4, 5, 6].map((level) => ({ value: String(level), label: `Level ${level}` })),
];

/** A heading: its words, and its level in the page. */
export function HeadingRows({ part, ids, ...rest }: PartProps<HeadingPart>) {
  const set = useSetPart({ part, ids });
  return (
    <>
      <WordsRow {...rest} part={part} ids={ids} label={PART.heading.label} />
      <Row label={PART.level.label} help={PART.level.help}>
        <Choice
          value={String(part.level ?? 'auto')}
          choices={LEVELS}
          onChoose={(level) =>
            set('level', PART.level.label, level === 'auto' ? undefined : Number(level), false)
          }
        />
      </Row>
    </>
  );
}
