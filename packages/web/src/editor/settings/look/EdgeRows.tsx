import { unnamed, type Border, type FourSides } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { lengthWords } from '../../../ui/words';
import { NamedColour } from '../../looks/NamedColour';
import { NamedMeasure } from '../../looks/NamedMeasure';
import { LOOK } from '../../fields/fields';
import { selectShared } from '../../selectors';
import { SetNumber } from '../SetNumber';
import { GradientRows } from './FillRows';
import type { Look } from './useLook';

const NO_FADE: FourSides = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
const FADES: readonly { readonly side: keyof FourSides; readonly name: string; readonly unit: string }[] = [
  { side: 'blockStart', name: 'Fade, top', unit: 'top' },
  { side: 'blockEnd', name: 'Fade, bottom', unit: 'bottom' },
  { side: 'inlineStart', name: 'Fade, start', unit: 'start' },
  { side: 'inlineEnd', name: 'Fade, end', unit: 'end' },
];
const LINE: Border = { width: 1, paint: '#9db0aa' };

/** Radius, border and edges that fade out. */
export function EdgeRows({ look }: { look: Look }) {
  const view = useAppSelector(selectShared);
  const { border, fade, radius = view.look.radius } = look.look;
  const setBorder = (next: Border | undefined, key?: string) =>
    look.set(LOOK.border.label, { border: next }, key);
  const kind =
    !border || border.width === 0 ? 'none' : typeof border.paint === 'string' ? 'plain' : 'gradient';
  const says = [
    look.look.radius !== undefined && `${lengthWords(unnamed(view.namedLooks, radius))} round`,
    kind !== 'none' && 'border',
    fade && 'fading',
  ].filter(Boolean);
  return (
    <Fold title="Border and radius" says={says.join(', ') || 'as the collection'}>
      <Row label={LOOK.radius.label} {...look.here('radius')}>
        <div className="grid grid-cols-[1fr_auto] gap-1">
          <NamedMeasure
            field={LOOK.radius}
            kind="radius"
            value={radius}
            command={(px) => look.command({ radius: px })}
            onSet={(px) => look.set(LOOK.radius.label, { radius: px })}
          />
          {look.look.radius !== undefined && (
            <Button className="h-[26px]!" onClick={() => look.set(LOOK.radius.label, { radius: undefined })}>
              Inherit
            </Button>
          )}
        </div>
      </Row>
      <Row label={LOOK.border.label} {...look.here('border')}>
        <Segments
          value={kind}
          choices={[
            { value: 'none', label: 'None' },
            { value: 'plain', label: 'Solid' },
            { value: 'gradient', label: 'Gradient' },
          ]}
          onChoose={(next) => {
            if (next === 'none') setBorder(undefined);
            else if (next === 'plain')
              setBorder({ width: Math.max(1, border?.width ?? 1), paint: LINE.paint });
            else {
              const stops = [
                { colour: '#a64d2c', at: 0 },
                { colour: '#24413f', at: 1 },
              ];
              setBorder({
                width: Math.max(2, border?.width ?? 0),
                paint: { kind: 'linear', angle: 120, stops },
              });
            }
          }}
        />
      </Row>
      {border && kind !== 'none' && (
        <Row label="">
          <div className="grid grid-cols-2 gap-1">
            <SetNumber
              field={LOOK.border}
              name="Border width"
              value={border.width}
              command={(width) => look.command({ border: { ...border, width } })}
            />
            {typeof border.paint === 'string' && (
              <NamedColour
                name="Border colour"
                value={border.paint}
                onSet={(paint) => setBorder({ ...border, paint }, 'border')}
              />
            )}
          </div>
        </Row>
      )}
      {border && typeof border.paint === 'object' && (
        <GradientRows value={border.paint} onSet={(paint, key) => setBorder({ ...border, paint }, key)} />
      )}
      {[FADES.slice(0, 2), FADES.slice(2)].map((two, k) => (
        <Row
          key={k}
          label={k === 0 ? LOOK.fade.label : ''}
          help={LOOK.fade.help}
          {...(k === 0 && look.here('fade'))}
        >
          <div className="grid grid-cols-2 gap-1">
            {two.map(({ side, name, unit }) => (
              <SetNumber
                key={side}
                field={LOOK.fade}
                name={name}
                unit={unit}
                value={fade?.[side] ?? 0}
                command={(px) => {
                  const next = { ...(fade ?? NO_FADE), [side]: px };
                  return look.command({
                    fade: Object.values(next).some((each) => each > 0) ? next : undefined,
                  });
                }}
              />
            ))}
          </div>
        </Row>
      ))}
    </Fold>
  );
}
