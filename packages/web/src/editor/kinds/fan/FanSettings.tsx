import { fanOf } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { selectBand } from '../../selectors';
import { ChoiceRow } from '../../settings/ChoiceRow';
import { LengthRow } from '../../settings/LengthRow';
import { SetLength } from '../../settings/SetLength';
import { useKind } from '../useKind';
import type { Inherited } from '../inherited';
import { FAN } from './fields';

/** How large the cards of a fan are and what covered ones show. */
export function FanSettings({ inherited }: { inherited: Inherited }) {
  const { arrangement } = useAppSelector(selectBand);
  const { command, set } = useKind('fan');
  const fan = fanOf(arrangement);
  return (
    <>
      <ChoiceRow
        field={FAN.axis}
        value={fan.axis}
        {...inherited('fan')}
        onChoose={(axis) => set(FAN.axis.label, { axis })}
      />
      <Row label="Cards">
        <div className="grid grid-cols-2 gap-1.5">
          {fan.axis === 'inline' && (
            <SetLength
              field={FAN.inlineSize}
              value={fan.inlineSize}
              unit="px wide"
              command={(inlineSize) => command({ inlineSize })}
            />
          )}
          <SetLength
            field={FAN.blockSize}
            value={fan.blockSize}
            unit="px high"
            command={(blockSize) => command({ blockSize })}
          />
        </div>
      </Row>
      <LengthRow
        field={FAN.strip}
        value={fan.strip}
        unit={fan.axis === 'inline' ? 'px at most' : 'px'}
        command={(strip) => command({ strip })}
      />
      <ChoiceRow field={FAN.open} value={fan.open} onChoose={(open) => set(FAN.open.label, { open })} />
      <p className="mt-1 rounded-s bg-field p-2 text-sm text-soft">
        In the page a card opens when it is pointed at, tapped, or reached with the keyboard.
      </p>
    </>
  );
}
