import { Suspense } from 'react';
import { largeTimes, type TypeSize } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { whenShown } from '../../../ui/lazily';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { FamilyField } from '../../looks/FamilyField';
import { TypeSizeFields } from '../../looks/TypeSizeFields';
import { LOOK } from '../../fields/fields';
import { selectShared } from '../../selectors';
import { SetNumber } from '../SetNumber';
import type { Look, Role } from './useLook';

const FIELDS = [
  'Family',
  'Size',
  'Weight',
  'LineHeight',
  'LetterSpacing',
  'Features',
  'Axes',
  'Wrap',
] as const;

const LetterRows = whenShown(() => import('./LetterRows').then((file) => file.LetterRows));
const USUAL: Readonly<
  Record<Role, { readonly weight: number; readonly lineHeight: number; readonly letterSpacing: number }>
> = {
  heading: { weight: 650, lineHeight: 1.15, letterSpacing: -0.012 },
  body: { weight: 400, lineHeight: 1.45, letterSpacing: 0 },
};

/** The type of a tile's large words and of the others. */
export function TypeRows({ look }: { look: Look }) {
  return (
    <>
      <RoleRows look={look} role="heading" title="Heading type" />
      <RoleRows look={look} role="body" title="Body type" />
    </>
  );
}

/** What is inherited, as large as it is seen; a length that is written stays as it is. */
function asSeen(size: TypeSize, times: number): TypeSize {
  const by = (px: number) => Math.round(px * times * 10) / 10;
  if (typeof size === 'string' || times === 1) return size;
  return typeof size === 'number' ? by(size) : { ...size, from: by(size.from), to: by(size.to) };
}

function RoleRows({ look, role, title }: { look: Look; role: Role; title: string }) {
  const view = useAppSelector(selectShared);
  const own = FIELDS.filter((field) => look.look[`${role}${field}`] !== undefined);
  const family = look.look[`${role}Family`] ?? view.look[`${role}Family`];
  const size =
    look.look[`${role}Size`] ??
    (role === 'heading' ? asSeen(view.look.headingSize, largeTimes(look.tiles[0])) : view.look.bodySize);
  return (
    <Fold title={title} says={own.length > 0 ? `${own.length} set` : 'as the collection'}>
      <Row label="Family" {...look.here(`${role}Family`)}>
        <FamilyField
          value={look.all(`${role}Family`) === null ? null : family}
          onChoose={(name, own) => look.setFamily(role, name, own)}
        />
      </Row>
      <TypeSizeFields
        field={{ ...LOOK[`${role}Size`], label: 'Size' }}
        value={size}
        command={(next) => look.command({ [`${role}Size`]: next })}
        onSet={(next) => look.set(LOOK[`${role}Size`].label, { [`${role}Size`]: next })}
        {...look.here(`${role}Size`)}
      />
      <Row label="Weight" {...look.here(`${role}Weight`, `${role}LineHeight`)}>
        <div className="grid grid-cols-2 gap-1">
          <SetNumber
            field={LOOK[`${role}Weight`]}
            name={null}
            value={look.look[`${role}Weight`] ?? USUAL[role].weight}
            by={10}
            command={(weight) => look.command({ [`${role}Weight`]: weight })}
          />
          <SetNumber
            field={LOOK[`${role}LineHeight`]}
            value={look.look[`${role}LineHeight`] ?? USUAL[role].lineHeight}
            whole={false}
            by={0.05}
            command={(lineHeight) => look.command({ [`${role}LineHeight`]: lineHeight })}
          />
        </div>
      </Row>
      <Row label="Spacing" help="Letter spacing" {...look.here(`${role}LetterSpacing`)}>
        <div className="grid grid-cols-2 gap-1">
          <SetNumber
            field={LOOK[`${role}LetterSpacing`]}
            name={null}
            value={look.look[`${role}LetterSpacing`] ?? USUAL[role].letterSpacing}
            whole={false}
            by={0.005}
            command={(letterSpacing) =>
              look.command({ [`${role}LetterSpacing`]: Number(letterSpacing.toFixed(3)) })
            }
          />
          {own.length > 0 && (
            <Button
              className="h-[26px]! justify-center"
              onClick={() =>
                look.set(title, Object.fromEntries(own.map((field) => [`${role}${field}`, undefined])))
              }
            >
              Inherit all
            </Button>
          )}
        </div>
      </Row>
      <Suspense>
        <LetterRows look={look} role={role} family={family} />
      </Suspense>
    </Fold>
  );
}
