import { setArrangement, type ArrangementValues, type Command, type Padding } from '@noria/core';
import { Link2, Unlink2 } from 'lucide-react';
import { useState } from 'react';
import { useAppSelector } from '../hooks';
import { SignButton } from '../../ui/Button';
import { Row } from '../../ui/Rows';
import { ARRANGEMENT } from '../fields/fields';
import { selectBand, selectLayout, selectLevel, selectSetFor } from '../selectors';
import { SetLength } from './SetLength';

interface GapRowsProps {
  readonly inherited: (...of: (keyof ArrangementValues)[]) => { setHere: boolean; onInherit: () => void };
}

const SIDES = [
  ['blockStart', 'top'],
  ['inlineEnd', 'end'],
  ['blockEnd', 'bottom'],
  ['inlineStart', 'start'],
] as const satisfies readonly (readonly [keyof Padding, string])[];

/** Gaps between tiles and padding around them, linked or each by itself. */
export function GapRows({ inherited }: GapRowsProps) {
  const { arrangement, index } = useAppSelector(selectBand);
  const { inlineSize } = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  // Of what a share is in a group is known only when it is laid out.
  const shares = useAppSelector(selectLevel) === null;
  const { columnGap, rowGap, padding } = arrangement;
  const sides = SIDES.map(([side]) => padding[side]);
  const [apart, setApart] = useState({ gap: columnGap !== rowGap, padding: new Set(sides).size > 1 });
  const gapsApart = apart.gap || columnGap !== rowGap;
  const sidesApart = apart.padding || new Set(sides).size > 1;
  const set = (values: Partial<ArrangementValues>): Command => setArrangement(values, index, setFor);
  const both = { ...ARRANGEMENT.columnGap, label: 'Gap', unit: 'px, both ways' };

  return (
    <>
      <Row label={both.label} {...inherited('columnGap', 'rowGap')}>
        <div className="flex gap-1">
          {gapsApart ? (
            <>
              <SetLength
                field={ARRANGEMENT.columnGap}
                value={columnGap}
                unit="across"
                basis={inlineSize}
                shares={shares}
                command={(px) => set({ columnGap: px })}
              />
              <SetLength
                field={ARRANGEMENT.rowGap}
                value={rowGap}
                unit="down"
                basis={inlineSize}
                command={(px) => set({ rowGap: px })}
              />
            </>
          ) : (
            <SetLength
              field={both}
              name={null}
              value={columnGap}
              basis={inlineSize}
              command={(px) => set({ columnGap: px, rowGap: px })}
            />
          )}
          <LinkButton
            what="gaps"
            apart={gapsApart}
            disabled={columnGap !== rowGap}
            onToggle={() => setApart({ ...apart, gap: !gapsApart })}
          />
        </div>
      </Row>
      <Row label={ARRANGEMENT.padding.label} {...inherited('padding')}>
        <div className="flex items-start gap-1">
          {sidesApart ? (
            <div className="grid flex-1 grid-cols-2 gap-1">
              {SIDES.map(([key, unit]) => (
                <SetLength
                  key={key}
                  field={ARRANGEMENT.padding}
                  name={`Padding, ${unit}`}
                  value={padding[key]}
                  unit={unit}
                  basis={inlineSize}
                  shares={shares}
                  command={(px) => set({ padding: { ...padding, [key]: px } })}
                />
              ))}
            </div>
          ) : (
            <SetLength
              field={ARRANGEMENT.padding}
              name={null}
              value={padding.blockStart}
              unit="px, all sides"
              basis={inlineSize}
              shares={shares}
              command={(px) =>
                set({ padding: { blockStart: px, inlineEnd: px, blockEnd: px, inlineStart: px } })
              }
            />
          )}
          <LinkButton
            what="sides"
            apart={sidesApart}
            disabled={new Set(sides).size > 1}
            onToggle={() => setApart({ ...apart, padding: !sidesApart })}
          />
        </div>
      </Row>
    </>
  );
}

interface LinkButtonProps {
  readonly what: string;
  readonly apart: boolean;
  /** Values that differ can’t be linked without losing one. */
  readonly disabled: boolean;
  readonly onToggle: () => void;
}

function LinkButton({ what, apart, disabled, onToggle }: LinkButtonProps) {
  const Sign = apart ? Unlink2 : Link2;
  return (
    <SignButton
      name={disabled ? `The ${what} differ` : apart ? `Link ${what}` : `Set ${what} one by one`}
      aria-pressed={!apart}
      disabled={disabled}
      className="size-[26px]! shrink-0"
      onClick={onToggle}
    >
      <Sign size={14} strokeWidth={1.6} aria-hidden />
    </SignButton>
  );
}
