import { plainWords } from '@noria/core';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Rows';
import { useAppDispatch } from '../hooks';
import { partShown } from '../actions/parts';
import { partName } from './partNames';
import type { PartProps } from './partProps';

/** A part that is not shown: what it keeps, and how it comes back. */
export function HiddenPart({ part, ids }: Pick<PartProps, 'part' | 'ids'>) {
  const dispatch = useAppDispatch();
  const name = partName(part);
  return (
    <Row label={name}>
      <div className="flex min-w-0 items-center gap-2">
        <span className="min-w-0 flex-1 truncate text-sm text-faint">
          Hidden{'words' in part && part.words !== '' ? `: ${plainWords(part.words)}` : ''}
        </span>
        <Button
          className="h-6! px-2!"
          aria-label={`Show ${name.toLowerCase()}`}
          onClick={() => dispatch(partShown(ids, part, true))}
        >
          Show
        </Button>
      </div>
    </Row>
  );
}
