import type { SpacerPart } from '@noria/core';
import { Row } from '../../ui/Rows';
import { NumberField } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { PART } from './fields';
import { useSetPart } from './useSetPart';
import type { PartProps } from './partProps';

/** What a spacer is as wide as when it is given a size, px. */
const BEGINS = 24;

const CHOICES = [
  { value: 'free', label: 'All that is free' },
  { value: 'fixed', label: 'Fixed' },
] as const;

/** Room between parts: all that is free, or so much. */
export function SpacerRow({ part, ids }: PartProps<SpacerPart>) {
  const set = useSetPart({ part, ids });
  const { label, least, most } = PART.spacer;
  const size = (px: number | null) => set('size', label, px, false);
  return (
    <Row label={label}>
      <div className="grid gap-1">
        <Segments
          value={part.size === null ? 'free' : 'fixed'}
          choices={CHOICES}
          onChoose={(kind) => size(kind === 'free' ? null : BEGINS)}
        />
        {part.size !== null && (
          <NumberField
            name="Size of the spacer"
            value={part.size}
            unit="px"
            least={least}
            most={most}
            onSet={size}
          />
        )}
      </div>
    </Row>
  );
}
