import { FAMILIES, type FamilyName } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { TypeSizeFields } from '../../looks/TypeSizeFields';
import { selectShared } from '../../selectors';
import { SetNumber } from '../SetNumber';
import { useBandLook } from '../useBandLook';
import type { Look } from './useLook';

type Role = 'heading' | 'body';

const FIELDS = ['Family', 'Size', 'Weight', 'LineHeight', 'Tracking'] as const;
const USUAL: Readonly<
  Record<Role, { readonly weight: number; readonly lineHeight: number; readonly tracking: number }>
> = {
  heading: { weight: 650, lineHeight: 1.15, tracking: -0.012 },
  body: { weight: 400, lineHeight: 1.45, tracking: 0 },
};

/** The type of a tile's large words and of the others. */
export function TypeRows({ look }: { look: Look }) {
  return (
    <>
      <RoleRows look={look} role="heading" title="Large type" />
      <RoleRows look={look} role="body" title="Small type" />
    </>
  );
}

function RoleRows({ look, role, title }: { look: Look; role: Role; title: string }) {
  const view = useAppSelector(selectShared);
  const own = FIELDS.filter((field) => look.look[`${role}${field}`] !== undefined);
  const family = look.look[`${role}Family`] ?? view.look[`${role}Family`];
  const size = look.look[`${role}Size`] ?? view.look[`${role}Size`];
  const step = 'Type';
  const sizes = useBandLook(
    `${role}Size`,
    look.tiles.map(({ id }) => id),
  );
  return (
    <Fold title={title} says={own.length > 0 ? `${own.length} own` : 'as the collection'}>
      <Row label="Family">
        <Choice
          name={`${title}: family`}
          value={family}
          choices={(Object.keys(FAMILIES) as FamilyName[]).map((name) => ({ value: name, label: name }))}
          onChoose={(name) => look.set(step, { [`${role}Family`]: name })}
        />
      </Row>
      <TypeSizeFields
        label={role === 'heading' ? 'Large size' : 'Small size'}
        value={sizes.value ?? size}
        step={step}
        command={(next) => sizes.command(next, look.command({ [`${role}Size`]: next }))}
        onSet={(next) => sizes.set(step, next, look.command({ [`${role}Size`]: next }))}
        setHere={sizes.setHere}
        onCarry={sizes.carry}
      />
      <Row label="Weight">
        <div className="grid grid-cols-2 gap-1">
          <SetNumber
            name={`${title}: weight`}
            value={look.look[`${role}Weight`] ?? USUAL[role].weight}
            least={100}
            most={900}
            by={10}
            unit="weight"
            step={step}
            command={(weight) => look.command({ [`${role}Weight`]: weight })}
          />
          <SetNumber
            name={`${title}: line height`}
            value={look.look[`${role}LineHeight`] ?? USUAL[role].lineHeight}
            least={0.5}
            most={4}
            whole={false}
            by={0.05}
            unit="lines"
            step={step}
            command={(lineHeight) => look.command({ [`${role}LineHeight`]: lineHeight })}
          />
        </div>
      </Row>
      <Row label="Tracking">
        <div className="grid grid-cols-2 gap-1">
          <SetNumber
            name={`${title}: tracking`}
            value={look.look[`${role}Tracking`] ?? USUAL[role].tracking}
            least={-0.5}
            most={2}
            whole={false}
            by={0.005}
            unit="em"
            step={step}
            command={(tracking) => look.command({ [`${role}Tracking`]: Number(tracking.toFixed(3)) })}
          />
          {own.length > 0 && (
            <Button
              className="h-[26px]! justify-center"
              onClick={() =>
                look.set(step, Object.fromEntries(own.map((field) => [`${role}${field}`, undefined])))
              }
            >
              Shared
            </Button>
          )}
        </div>
      </Row>
    </Fold>
  );
}
