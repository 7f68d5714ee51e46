import { fanOf, LIMITS } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { selectBand } from '../../selectors';
import { NumberRow } from '../../settings/NumberRow';
import { SetNumber } from '../../settings/SetNumber';
import { useKind } from '../useKind';
import type { Carried } from '../carried';

/** How large the cards of a fan are and what covered ones show. */
export function FanSettings({ carried }: { carried: Carried }) {
  const { arrangement } = useAppSelector(selectBand);
  const { command, set } = useKind('fan');
  const fan = fanOf(arrangement);
  const size = { least: 1, most: LIMITS.track } as const;
  return (
    <>
      <Row label="Axis" {...carried('fan')}>
        <Segments
          name="Axis"
          value={fan.axis}
          choices={[
            { value: 'inline', label: 'Across' },
            { value: 'block', label: 'Down' },
          ]}
          onChoose={(axis) => set('Axis', { axis })}
        />
      </Row>
      <Row label="Card">
        <div className="grid grid-cols-2 gap-1.5">
          {fan.axis === 'inline' && (
            <SetNumber
              name="Width of cards"
              value={fan.inlineSize}
              {...size}
              unit="px wide"
              step="Card"
              command={(inlineSize) => command({ inlineSize })}
            />
          )}
          <SetNumber
            name="Height of cards"
            value={fan.blockSize}
            {...size}
            unit="px high"
            step="Card"
            command={(blockSize) => command({ blockSize })}
          />
        </div>
      </Row>
      <NumberRow
        label="Strip"
        name="Strip"
        value={fan.strip}
        least={0}
        most={LIMITS.track}
        unit={fan.axis === 'inline' ? 'px at most' : 'px'}
        step="Strip"
        command={(strip) => command({ strip })}
      />
      <Row label="Open">
        <Segments
          name="Card that lies open"
          value={fan.open}
          choices={[
            { value: 'first', label: 'The first' },
            { value: 'last', label: 'The last' },
          ]}
          onChoose={(open) => set('Open', { open })}
        />
      </Row>
      <p className="mt-1 rounded-s bg-field p-2 text-sm text-soft">
        In the page a card opens when it is pointed at, tapped, or reached with the keyboard.
      </p>
    </>
  );
}
