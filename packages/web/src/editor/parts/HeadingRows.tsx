import type { HeadingPart } from '@noria/core';
import { Choice } from '../../ui/Choice';
import { Row } from '../../ui/Rows';
import { useSetPart } from './useSetPart';
import { WordsRow } from './WordsRow';
import type { PartProps } from './partProps';

const LEVELS = [
  { value: 'auto', label: 'By its place' },
  { value: '1', label: 'Page title (1)' },
  ...[2, 3, 4, 5, 6].map((level) => ({ value: String(level), label: `Level ${level}` })),
];

/** A heading: its words, and its level in the page. */
export function HeadingRows({ tile, part }: PartProps<HeadingPart>) {
  const set = useSetPart({ tile, part });
  return (
    <>
      <WordsRow tile={tile} part={part} label="Heading" />
      <Row label="Heading is">
        <Choice
          name="Level of the heading"
          value={String(part.level ?? 'auto')}
          choices={LEVELS}
          onChoose={(level) =>
            set('level', 'Level of heading', level === 'auto' ? undefined : Number(level), false)
          }
        />
      </Row>
    </>
  );
}
