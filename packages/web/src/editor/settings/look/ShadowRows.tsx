import { LIMITS, type Shadow } from '@noria/core';
import { Fold } from '../../../ui/Fold';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { SetNumber } from '../SetNumber';
import type { Look } from './useLook';

const BEGIN = {
  outerShadow: { x: 0, y: 8, blur: 24, spread: -8, colour: '#0b1714', opacity: 0.3 },
  innerShadow: { x: 0, y: 1, blur: 0, spread: 0, colour: '#ffffff', opacity: 0.3 },
} as const satisfies Readonly<Record<string, Shadow>>;

const SHADE = { x: 'across', y: 'down', blur: 'blur', spread: 'spread' } as const;

type Which = keyof typeof BEGIN;

/** The shadow that the tile casts, and one cast into it. */
export function ShadowRows({ look }: { look: Look }) {
  const says = [look.look.outerShadow && 'outer', look.look.innerShadow && 'inner']
    .filter(Boolean)
    .join(', ');
  return (
    <Fold title="Shadow" says={says || 'none'}>
      <OneShade look={look} which="outerShadow" label="Outer" />
      <OneShade look={look} which="innerShadow" label="Inner" />
    </Fold>
  );
}

function OneShade({ look, which, label }: { look: Look; which: Which; label: string }) {
  const shadow = look.look[which];
  const command = (part: Partial<Shadow>) =>
    look.command({ [which]: { ...(shadow ?? BEGIN[which]), ...part } });
  const set = (part: Partial<Shadow>, key: string) =>
    look.set(LOOK[which].label, { [which]: { ...(shadow ?? BEGIN[which]), ...part } }, `${which} ${key}`);
  const numbers = (fields: readonly ('x' | 'y' | 'blur' | 'spread')[]) => (
    <Row label="">
      <div className="grid grid-cols-2 gap-1">
        {fields.map((field) => (
          <SetNumber
            key={field}
            field={{ ...LOOK[which], least: field === 'blur' ? 0 : -LIMITS.shadow }}
            name={`${LOOK[which].label}, ${SHADE[field]}`}
            unit={SHADE[field]}
            value={shadow?.[field] ?? 0}
            command={(px) => command({ [field]: px })}
          />
        ))}
      </div>
    </Row>
  );
  return (
    <>
      <Row label={label} {...look.here(which)}>
        <Segments
          value={shadow ? 'on' : 'none'}
          choices={[
            { value: 'none', label: 'None' },
            { value: 'on', label: 'On' },
          ]}
          onChoose={(next) =>
            look.set(LOOK[which].label, { [which]: next === 'on' ? BEGIN[which] : undefined })
          }
        />
      </Row>
      {shadow && (
        <>
          {numbers(['x', 'y'])}
          {numbers(['blur', 'spread'])}
          <Row label="">
            <div className="grid grid-cols-[26px_1fr] gap-1">
              <NamedColour
                small
                name={`${LOOK[which].label}, colour`}
                value={shadow.colour}
                onSet={(colour) => set({ colour }, 'colour')}
              />
              <NumberField
                name={`${LOOK[which].label}, opacity`}
                value={Math.round(shadow.opacity * 100)}
                least={0}
                most={100}
                unit="% opacity"
                onSet={(opacity) => set({ opacity: opacity / 100 }, 'opacity')}
              />
            </div>
          </Row>
        </>
      )}
    </>
  );
}
