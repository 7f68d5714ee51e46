import { inKind, setKind, type ArrangementName } from '@noria/core';
import { RadioGroup } from 'radix-ui';
import { useDeferredValue, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { kindData, kindNames } from './data';
import { ARRANGEMENT } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSavedView, selectSetFor } from '../selectors';
import { KindPreview } from './KindPreview';

/** More tiles than these would be dots. */
const MOST = 40;
const STEP = 32;

/** The same tiles in each kind of arrangement, side by side, to choose from. */
export function KindStrip({ setHere, onInherit }: { setHere: boolean; onInherit: () => void }) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const { inlineSize } = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  // The stage comes first: the strip follows when there is time.
  const view = useDeferredValue(useAppSelector(selectSavedView));
  // Marks this small do not show a px more or less.
  const width = useDeferredValue(Math.max(STEP, Math.round(inlineSize / STEP) * STEP));
  const shown = useMemo(() => {
    const few = { ...view, order: view.order.slice(0, MOST) };
    return kindNames().map((kind) => [kind, inKind(few, index, kind)] as const);
  }, [view, index]);
  return (
    <div className="relative mb-1">
      {setHere && (
        <button
          type="button"
          aria-label={`${ARRANGEMENT.kind.label}: inherit from the wider band again`}
          title="Set in this band. Press to inherit it from the wider band again."
          className="drop absolute top-1 -left-4 py-1 pr-2 pl-1.5"
          onClick={onInherit}
        />
      )}
      <RadioGroup.Root
        aria-label={ARRANGEMENT.kind.label}
        value={arrangement.kind}
        onValueChange={(kind) =>
          dispatch(runHere(ARRANGEMENT.kind.label, setKind(kind as ArrangementName, index, setFor)))
        }
        className="grid grid-cols-6 gap-1"
      >
        {shown.map(([kind, document]) => (
          <RadioGroup.Item
            key={kind}
            value={kind}
            title={kindData(kind).says}
            className="grid justify-items-center gap-0.5 rounded-s bg-field p-0.5 text-[10px] leading-[14px] tracking-[-0.02em] text-soft hover:text-ink data-[state=checked]:font-[550] data-[state=checked]:text-ink data-[state=checked]:outline-2 data-[state=checked]:outline-copper"
          >
            <KindPreview document={document} width={width} />
            {kindData(kind).name}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
