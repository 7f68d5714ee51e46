import { unnamed, type FourSides, type WrittenLength } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { LOOK } from '../../fields/fields';
import { selectShared } from '../../selectors';
import { NamedMeasure } from '../../looks/NamedMeasure';
import { SetLength } from '../SetLength';
import { lengthWords } from '../../../ui/words';
import type { Look } from './useLook';

const SIDES: readonly { readonly side: keyof FourSides; readonly name: string; readonly unit: string }[] = [
  { side: 'blockStart', name: 'Padding, top', unit: 'top' },
  { side: 'inlineEnd', name: 'Padding, end', unit: 'end' },
  { side: 'blockEnd', name: 'Padding, bottom', unit: 'bottom' },
  { side: 'inlineStart', name: 'Padding, start', unit: 'start' },
];

/** Padding of a tile, all round or by side, and the gap between its contents. */
export function PaddingRows({ look, hasFlow }: { look: Look; hasFlow: boolean }) {
  const view = useAppSelector(selectShared);
  const { padding = view.look.tilePadding, gap } = look.look;
  const even = typeof padding === 'object' ? padding.blockStart : unnamed(view.namedLooks, padding);
  const sides: FourSides<WrittenLength> =
    typeof padding === 'object'
      ? padding
      : { blockStart: even, inlineEnd: even, blockEnd: even, inlineStart: even };
  const isOwn = look.look.padding !== undefined || gap !== undefined;
  return (
    <Fold title="Padding and gap" says={isOwn ? lengthWords(even) : 'as the collection'}>
      <Row label={LOOK.padding.label} {...look.here('padding')}>
        <Segments
          value={
            typeof padding === 'object' ? 'sides' : look.look.padding === undefined ? 'inherited' : 'even'
          }
          choices={[
            { value: 'inherited', label: 'Inherit' },
            { value: 'even', label: 'All sides' },
            { value: 'sides', label: 'By side' },
          ]}
          onChoose={(how) =>
            look.set(LOOK.padding.label, {
              padding: how === 'inherited' ? undefined : how === 'even' ? even : sides,
            })
          }
        />
      </Row>
      {typeof padding === 'object' ? (
        [SIDES.slice(0, 2), SIDES.slice(2)].map((two, k) => (
          <Row key={k} label="">
            <div className="grid grid-cols-2 gap-1">
              {two.map(({ side, name, unit }) => (
                <SetLength
                  key={side}
                  field={LOOK.padding}
                  name={name}
                  unit={unit}
                  value={padding[side]}
                  command={(px) => look.command({ padding: { ...padding, [side]: px } })}
                />
              ))}
            </div>
          </Row>
        ))
      ) : look.look.padding !== undefined ? (
        <Row label="All sides">
          <NamedMeasure
            field={LOOK.padding}
            kind="space"
            value={padding}
            command={(px) => look.command({ padding: px })}
            onSet={(px) => look.set(LOOK.padding.label, { padding: px })}
          />
        </Row>
      ) : null}
      {hasFlow && (
        <Row label={LOOK.gap.label} {...look.here('gap')}>
          <NamedMeasure
            field={LOOK.gap}
            kind="space"
            value={gap ?? 4}
            command={(px) => look.command({ gap: px })}
            onSet={(px) => look.set(LOOK.gap.label, { gap: px })}
          />
        </Row>
      )}
    </Fold>
  );
}
