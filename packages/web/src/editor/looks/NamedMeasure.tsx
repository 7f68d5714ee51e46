import { LIMITS, measureOf, namedIn, refer, type Command, type Measure } from '@noria/core';
import { X } from 'lucide-react';
import { useAppSelector } from '../hooks';
import { selectShared } from '../selectors';
import { SignButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import type { Field } from '../fields/field';
import { SetLength } from '../settings/SetLength';

interface NamedMeasureProps {
  readonly field: Field;
  readonly kind: 'radius' | 'space';
  /** Null: several values. */
  readonly value: Measure | null;
  readonly command: (value: Measure) => Command;
  readonly onSet: (value: Measure) => void;
}

/** A length of its own, or one that follows a name where there are any. */
export function NamedMeasure({ field, kind, value, command, onSet }: NamedMeasureProps) {
  const { label, most = LIMITS.padding } = field;
  const { namedLooks } = useAppSelector(selectShared);
  const named = Object.values(namedLooks).filter((look) => look.kind === kind);
  const followed = namedIn(value);
  if (followed !== null) {
    return (
      <div className="grid grid-cols-[1fr_26px] gap-1">
        <Choice
          value={followed}
          choices={named.map((look) => ({
            value: look.id,
            label: `${look.name}, ${measureOf(namedLooks, refer(look.id))} px`,
          }))}
          onChoose={(id) => onSet(refer(id))}
        />
        <SignButton
          name={`${label}: unlink from the named look`}
          onClick={() => onSet(measureOf(namedLooks, value as string))}
        >
          <X size={14} aria-hidden />
        </SignButton>
      </div>
    );
  }
  return (
    <div className={`grid gap-1 ${named.length > 0 ? 'grid-cols-2' : ''}`}>
      <SetLength
        field={{ unit: 'px', least: 0, ...field, most }}
        name={null}
        value={value}
        command={command}
      />
      {named.length > 0 && (
        <Choice
          name={`${label}, named look`}
          value={'own'}
          choices={[
            { value: 'own', label: 'Own' },
            ...named.map((look) => ({
              value: look.id,
              label: `${look.name}, ${measureOf(namedLooks, refer(look.id))}`,
            })),
          ]}
          onChoose={(id) => id !== 'own' && onSet(refer(id))}
        />
      )}
    </div>
  );
}
