import { LIMITS, listOf, type Shadow } from '@noria/core';
import { Plus, X } from 'lucide-react';
import { SignButton } from '../../../ui/Button';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { SetNumber } from '../SetNumber';
import type { Look } from './useLook';

const BEGIN = {
  outerShadow: { x: 0, y: 8, blur: 24, spread: -8, colour: '#0b1714', opacity: 0.3 },
  innerShadow: { x: 0, y: 1, blur: 0, spread: 0, colour: '#ffffff', opacity: 0.3 },
} as const satisfies Readonly<Record<string, Shadow>>;
/** What is added to a shadow lies closer and is fainter. */
const NEXT: Pick<Shadow, 'y' | 'blur' | 'spread' | 'opacity'> = { y: 2, blur: 6, spread: -2, opacity: 0.2 };

const SHADE = { x: 'across', y: 'down', blur: 'blur', spread: 'spread' } as const;

type Which = keyof typeof BEGIN;

const WHICH = [
  ['outerShadow', 'Outer'],
  ['innerShadow', 'Inner'],
] as const;

/** The shadows that the tile casts, and those cast into it. */
export function ShadowRows({ look }: { look: Look }) {
  const says = WHICH.flatMap(([which, label]) => {
    const { length } = listOf(look.look[which]);
    return length === 0 ? [] : [length > 1 ? `${length} ${label.toLowerCase()}` : label.toLowerCase()];
  });
  return (
    <Fold title="Shadow" says={says.join(', ') || 'none'}>
      {WHICH.map(([which, label]) => (
        <Shades key={which} look={look} which={which} label={label} />
      ))}
    </Fold>
  );
}

/** One shadow alone is written as one. */
const written = (shadows: readonly Shadow[]): Shadow | readonly Shadow[] | undefined => {
  const [only, ...others] = shadows;
  if (!only || others.length > 0) return only && shadows;
  const { id: _, ...alone } = only;
  return alone;
};

function Shades({ look, which, label }: { look: Look; which: Which; label: string }) {
  const shadows = listOf(look.look[which]);
  const { label: step } = LOOK[which];
  const set = (next: readonly Shadow[], key?: string) =>
    look.set(step, { [which]: written(next) }, key && `${which} ${key}`);
  const add = () => set(shadows.length === 0 ? [BEGIN[which]] : [{ ...BEGIN[which], ...NEXT }, ...shadows]);
  return (
    <>
      <Row label={label} {...look.here(which)}>
        <div className="flex items-center justify-between">
          <span className="text-sm text-faint">{shadows.length === 0 ? 'none' : ''}</span>
          <SignButton
            name={`Add ${step.toLowerCase()}`}
            disabled={shadows.length >= LIMITS.layers}
            onClick={add}
          >
            <Plus size={14} aria-hidden />
          </SignButton>
        </div>
      </Row>
      {shadows.map((shadow, k) => {
        const name = shadows.length > 1 ? `${step} ${k + 1}` : step;
        const withPart = (part: Partial<Shadow>) =>
          shadows.map((each, at) => (at === k ? { ...each, ...part } : each));
        const numbers = (fields: readonly ('x' | 'y' | 'blur' | 'spread')[]) => (
          <Row label="">
            <div className="grid grid-cols-2 gap-1">
              {fields.map((field) => (
                <SetNumber
                  key={field}
                  field={{ ...LOOK[which], least: field === 'blur' ? 0 : -LIMITS.shadow }}
                  name={`${name}, ${SHADE[field]}`}
                  unit={SHADE[field]}
                  value={shadow[field]}
                  command={(px) => look.command({ [which]: written(withPart({ [field]: px })) })}
                />
              ))}
            </div>
          </Row>
        );
        return (
          <div key={shadow.id ?? k} role="group" aria-label={name} className="grid gap-0.5 pb-1">
            <Row label="">
              <div className="grid grid-cols-[1fr_26px] gap-1">
                <NamedColour
                  name={`${name}, colour`}
                  value={shadow.colour}
                  opacity={shadow.opacity}
                  onOpacity={(opacity, key) => set(withPart({ opacity }), `${k} ${key ?? ''}`)}
                  onSet={(colour) => set(withPart({ colour }), `${k} colour`)}
                />
                <SignButton
                  className="size-[26px]!"
                  name={`Remove ${name.toLowerCase()}`}
                  onClick={() => set(shadows.filter((_, at) => at !== k))}
                >
                  <X size={13} aria-hidden />
                </SignButton>
              </div>
            </Row>
            {numbers(['x', 'y'])}
            {numbers(['blur', 'spread'])}
          </div>
        );
      })}
    </>
  );
}
