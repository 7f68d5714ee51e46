import { followsWider, LIMITS, setHereIn } from '@noria/core';
import { memo, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { FieldNote, useTyping } from '../../ui/typing';
import { interfaceOf } from '../kinds';
import { selectSaved } from '../document/selectors';
import { needleMoved, shown } from '../editorSlice';
import { selectBand, selectNeedle } from '../selectors';
import { SetForChoice } from './SetForChoice';

/** The width now shown, which can be typed, and what it gives. */
export function NeedleReading() {
  const dispatch = useAppDispatch();
  const needle = useAppSelector(selectNeedle);
  const { from, below, arrangement } = useAppSelector(selectBand);
  const { Gives } = interfaceOf(arrangement);
  const { input, amiss, note } = useTyping({
    value: String(needle),
    problem: (text) => {
      const width = Number(text);
      return Number.isInteger(width) && width >= LIMITS.narrowest && width <= LIMITS.widest
        ? null
        : `A whole number of px from ${LIMITS.narrowest} to ${LIMITS.widest}.`;
    },
    apply: (text) => void dispatch(needleMoved(Number(text))),
  });
  return (
    <section
      aria-label="Width shown"
      className="grid content-start gap-px border-b border-hair bg-panel px-4 pt-1.5"
    >
      <div className="relative flex items-baseline gap-1.5">
        <input
          aria-label="Width shown, px"
          inputMode="numeric"
          className="min-w-[2ch] [field-sizing:content] rounded-s bg-transparent font-figures text-xl font-semibold tracking-[-0.06em] text-copper-ink"
          {...input}
          onFocus={(event) => event.target.select()}
        />
        <FieldNote id={note}>{amiss}</FieldNote>
        <span className="figures text-faint">px wide</span>
        <BandButton />
      </div>
      <p className="text-sm whitespace-nowrap text-soft">
        <Gives />, <Reach from={from} below={below} />
      </p>
      <SetForChoice />
    </section>
  );
}

/** Opens the band as a whole, and says how much is set in it. */
const BandButton = memo(function BandButton() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectSaved);
  const { index } = useAppSelector(selectBand);
  const isOpen = useAppSelector(({ editor }) => editor.showing === 'band');
  const [set, derived] = useMemo(() => {
    const all = setHereIn(document, index);
    const isDerived = followsWider(document) && all.some((each) => each.derived);
    return [all.filter((each) => !(isDerived && each.derived)).length, isDerived];
  }, [document, index]);
  return (
    <button
      type="button"
      aria-pressed={isOpen}
      title="Show the band: what is set here, where it ends (W)"
      className={`ml-auto flex items-center gap-1.5 rounded-s px-1.5 text-sm ${isOpen ? 'bg-field font-semibold' : 'text-soft hover:text-ink'}`}
      onClick={() => dispatch(shown(isOpen ? null : 'band'))}
    >
      {index > 0 && set > 0 && <i className="drop" aria-hidden />}
      {index === 0 ? 'Widest band' : set > 0 ? `${set} set here` : derived ? 'Derived' : 'All inherited'}
    </button>
  );
});

function Reach({ from, below }: { from: number; below: number }) {
  const narrowest = Math.max(from, LIMITS.narrowest);
  return (
    <>
      from <span className="figures">{narrowest}</span>
      {below <= LIMITS.widest && (
        <>
          {' to '}
          <span className="figures">{below - 1}</span>
        </>
      )}
      {below > LIMITS.widest && ' up'}
    </>
  );
}
