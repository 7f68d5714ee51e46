import { LIMITS, type Shade } from '@noria/core';
import { Fold } from '../../../ui/Fold';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { SetNumber } from '../SetNumber';
import type { Look } from './useLook';

const BEGIN = {
  outerShade: { x: 0, y: 8, blur: 24, spread: -8, colour: '#0b1714', strength: 0.3 },
  innerShade: { x: 0, y: 1, blur: 0, spread: 0, colour: '#ffffff', strength: 0.3 },
} as const satisfies Readonly<Record<string, Shade>>;

const SHADE = { x: 'across', y: 'down', blur: 'blur', spread: 'spread' } as const;

type Which = keyof typeof BEGIN;

/** The shadow that the tile casts, and one cast into it. */
export function ShadowRows({ look }: { look: Look }) {
  const says = [look.look.outerShade && 'outer', look.look.innerShade && 'inner'].filter(Boolean).join(', ');
  return (
    <Fold title="Shadow" says={says || 'none'}>
      <OneShade look={look} which="outerShade" label="Outer" />
      <OneShade look={look} which="innerShade" label="Inner" />
    </Fold>
  );
}

function OneShade({ look, which, label }: { look: Look; which: Which; label: string }) {
  const shade = look.look[which];
  const command = (part: Partial<Shade>) =>
    look.command({ [which]: { ...(shade ?? BEGIN[which]), ...part } });
  const set = (part: Partial<Shade>, key: string) =>
    look.set(LOOK[which].label, { [which]: { ...(shade ?? BEGIN[which]), ...part } }, `${which} ${key}`);
  const numbers = (fields: readonly ('x' | 'y' | 'blur' | 'spread')[]) => (
    <Row label="">
      <div className="grid grid-cols-2 gap-1">
        {fields.map((field) => (
          <SetNumber
            key={field}
            field={{ ...LOOK[which], least: field === 'blur' ? 0 : -LIMITS.shade }}
            name={`${LOOK[which].label}, ${SHADE[field]}`}
            unit={SHADE[field]}
            value={shade?.[field] ?? 0}
            command={(px) => command({ [field]: px })}
          />
        ))}
      </div>
    </Row>
  );
  return (
    <>
      <Row label={label}>
        <Segments
          value={shade ? 'on' : 'none'}
          choices={[
            { value: 'none', label: 'None' },
            { value: 'on', label: 'On' },
          ]}
          onChoose={(next) =>
            look.set(LOOK[which].label, { [which]: next === 'on' ? BEGIN[which] : undefined })
          }
        />
      </Row>
      {shade && (
        <>
          {numbers(['x', 'y'])}
          {numbers(['blur', 'spread'])}
          <Row label="">
            <div className="grid grid-cols-[26px_1fr] gap-1">
              <NamedColour
                small
                name={`${LOOK[which].label}, colour`}
                value={shade.colour}
                onSet={(colour) => set({ colour }, 'colour')}
              />
              <NumberField
                name={`${LOOK[which].label}, opacity`}
                value={Math.round(shade.strength * 100)}
                least={0}
                most={100}
                unit="% opacity"
                onSet={(strength) => set({ strength: strength / 100 }, 'strength')}
              />
            </div>
          </Row>
        </>
      )}
    </>
  );
}
