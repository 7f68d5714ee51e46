import { useAppDispatch } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { WordsField } from '../../../ui/WordsField';
import { PART } from '../../parts/fields';
import { runHere } from '../../here';
import type { Command } from '@noria/core';

interface AlternativeTextProps {
  readonly value: string;
  /** Steps of the same key that follow each other are one. */
  readonly id: string;
  readonly command: (words: string) => Command;
}

/** What a picture or film shows, for those who don’t see it. */
export function AlternativeText({ value, id, command }: AlternativeTextProps) {
  const dispatch = useAppDispatch();
  return (
    <Row label={PART.alternativeText.label}>
      <WordsField
        lines={2}
        hint="What it shows, for those who don’t see it"
        value={value}
        onType={(words) =>
          dispatch(runHere(PART.alternativeText.label, command(words.slice(0, 2000)), `${id} alt`))
        }
      />
    </Row>
  );
}
