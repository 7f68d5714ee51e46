import type { TextPart } from '@noria/core';
import { lazy, Suspense } from 'react';
import { Row } from '../../ui/Rows';
import { PART } from './fields';
import { useSetPart } from './useSetPart';
import type { PartProps } from './partProps';

/** The editor of rich text is large, and comes when it is needed. */
const RichTextField = lazy(() =>
  import('../settings/content/RichTextField').then((module) => ({ default: module.RichTextField })),
);

/** Running words, with marks on some of them. */
export function TextRow({ part, ids }: PartProps<TextPart>) {
  const set = useSetPart({ part, ids });
  return (
    <Row label={PART.text.label}>
      <Suspense fallback={<span className="h-[92px] rounded-s bg-field" />}>
        <RichTextField
          key={`${ids.join(' ')} ${part.id}`}
          name={PART.text.label}
          value={part.words}
          onType={(value) => set('words', PART.text.label, value)}
        />
      </Suspense>
    </Row>
  );
}
