import { LIMITS, measureOf, type Padding } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { selectShared } from '../../selectors';
import { NamedMeasure } from '../../looks/NamedMeasure';
import { SetNumber } from '../SetNumber';
import type { Look } from './useLook';

const SIDES: readonly { readonly side: keyof Padding; readonly name: string; readonly unit: string }[] = [
  { side: 'blockStart', name: 'Padding at the top', unit: 'top' },
  { side: 'inlineEnd', name: 'Padding at the end', unit: 'end' },
  { side: 'blockEnd', name: 'Padding at the bottom', unit: 'bottom' },
  { side: 'inlineStart', name: 'Padding at the start', unit: 'start' },
];

/** The air in a tile: padding, all round or by side, and the gap between its contents. */
export function AirRows({ look, hasFlow }: { look: Look; hasFlow: boolean }) {
  const view = useAppSelector(selectShared);
  const { padding = view.look.tilePadding, gap } = look.look;
  const even = typeof padding === 'object' ? padding.blockStart : measureOf(view.namedLooks, padding);
  const sides: Padding =
    typeof padding === 'object'
      ? padding
      : { blockStart: even, inlineEnd: even, blockEnd: even, inlineStart: even };
  const isOwn = look.look.padding !== undefined || gap !== undefined;
  return (
    <Fold title="Air" says={isOwn ? `${even} px` : 'as the collection'}>
      <Row label="Padding">
        <Segments
          name="Padding"
          value={typeof padding === 'object' ? 'sides' : look.look.padding === undefined ? 'carried' : 'even'}
          choices={[
            { value: 'carried', label: 'Shared' },
            { value: 'even', label: 'Even' },
            { value: 'sides', label: 'By side' },
          ]}
          onChoose={(how) =>
            look.set('Padding', { padding: how === 'carried' ? undefined : how === 'even' ? even : sides })
          }
        />
      </Row>
      {typeof padding === 'object' ? (
        [SIDES.slice(0, 2), SIDES.slice(2)].map((two, k) => (
          <Row key={k} label="">
            <div className="grid grid-cols-2 gap-1">
              {two.map(({ side, name, unit }) => (
                <SetNumber
                  key={side}
                  name={name}
                  unit={unit}
                  value={padding[side]}
                  least={0}
                  most={LIMITS.padding}
                  step="Padding"
                  command={(px) => look.command({ padding: { ...padding, [side]: px } })}
                />
              ))}
            </div>
          </Row>
        ))
      ) : look.look.padding !== undefined ? (
        <Row label="">
          <NamedMeasure
            name="Padding all round"
            kind="space"
            value={padding}
            step="Padding"
            command={(px) => look.command({ padding: px })}
            onSet={(px) => look.set('Padding', { padding: px })}
          />
        </Row>
      ) : null}
      {hasFlow && (
        <Row label="Gap">
          <NamedMeasure
            name="Gap between contents"
            kind="space"
            value={gap ?? Math.round(measureOf(view.namedLooks, 4))}
            most={LIMITS.gap}
            step="Gap"
            command={(px) => look.command({ gap: px })}
            onSet={(px) => look.set('Gap', { gap: px })}
          />
        </Row>
      )}
    </Fold>
  );
}
