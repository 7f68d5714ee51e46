import { LIMITS, removeNamedLook, setNamedLook, typeSizeOf, type NamedLook } from '@noria/core';
import { Trash2 } from 'lucide-react';
import { SignButton } from '../../ui/Button';
import { ColourField } from '../../ui/ColourField';
import { NumberField } from '../../ui/NumberField';
import { WordsField } from '../../ui/WordsField';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { useAppDispatch, useAppSelector } from '../hooks';
import { WashFields } from './Wash';

/** A named look: its name, its value, and how it is removed. */
export function NamedRow({ look, uses }: { look: NamedLook; uses: number }) {
  const dispatch = useAppDispatch();
  const { namedLooks } = useAppSelector(selectShown);
  const set = (next: NamedLook, key: string) =>
    dispatch(run('Named look', setNamedLook(next), `${look.id} ${key}`));
  const base = look.follows === undefined ? undefined : namedLooks?.[look.follows];
  const size = look.kind === 'type' ? typeSizeOf(namedLooks, look.value) : 0;
  return (
    <li className="grid grid-cols-[1fr_auto_26px] items-center gap-1 [&>[data-number]]:w-[84px] [&>span>[data-number]]:w-[52px]">
      <WordsField
        name={`Name of ${look.name}`}
        value={look.name}
        onType={(name) => name.trim() && set({ ...look, name: name.slice(0, 200) }, 'name')}
      />
      {look.kind === 'colour' ? (
        <ColourField
          small
          name={look.name}
          value={look.value}
          onSet={(value) => set({ ...look, value }, 'value')}
        />
      ) : look.kind === 'type' && typeof size === 'object' ? (
        <span className="grid grid-cols-2 gap-1">
          {(['from', 'to'] as const).map((end) => (
            <NumberField
              key={end}
              name={`${look.name}, ${end === 'from' ? 'when narrow' : 'when wide'}`}
              value={size[end]}
              least={LIMITS.typeSize.min}
              most={LIMITS.typeSize.max}
              onSet={(px) => set({ ...look, value: { ...size, [end]: px } }, end)}
            />
          ))}
        </span>
      ) : (
        <NumberField
          name={look.name}
          value={look.value as number}
          least={look.kind === 'type' ? LIMITS.typeSize.min : 0}
          most={
            look.kind === 'radius'
              ? LIMITS.radius
              : look.kind === 'type'
                ? LIMITS.typeSize.max
                : LIMITS.padding
          }
          unit="px"
          onSet={(value) => set({ ...look, value }, 'value')}
        />
      )}
      <SignButton
        className="size-6!"
        name={`Remove ${look.name}; ${uses === 0 ? 'nothing follows it' : `the ${uses} that follow it keep its value`}`}
        onClick={() => dispatch(run('Remove named look', removeNamedLook(look.id)))}
      >
        <Trash2 size={13} aria-hidden />
      </SignButton>
      {base && (
        <p className="col-span-3 -mt-0.5 mb-0.5 px-2 text-xs text-soft">
          Follows {base.name}; a value of its own ends that.
        </p>
      )}
      {look.kind === 'colour' && look.wash && <WashFields look={look} wash={look.wash} onSet={set} />}
    </li>
  );
}
