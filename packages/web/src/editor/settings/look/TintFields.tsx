import type { Tint } from '@noria/core';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { PART } from '../../parts/fields';
import { NamedColour } from '../../looks/NamedColour';

interface TintFieldsProps {
  readonly tint: Tint;
  readonly onSet: (tint: Tint, key?: string) => void;
}

/** A colour over a picture, and how much of the picture it takes. */
export function TintFields({ tint, onSet }: TintFieldsProps) {
  return (
    <Row label={PART.tint.label} help={PART.tint.help}>
      <div className="grid grid-cols-[26px_1fr] gap-1">
        <NamedColour
          small
          name="Tint, colour"
          value={tint.colour}
          onSet={(colour) => onSet({ ...tint, colour }, 'tint')}
        />
        <NumberField
          name="Tint, opacity"
          value={Math.round(tint.opacity * 100)}
          least={0}
          most={100}
          unit="% opacity"
          onSet={(opacity) => onSet({ ...tint, opacity: opacity / 100 }, 'tint opacity')}
        />
      </div>
    </Row>
  );
}
