import { evenColumn, isAlong, LIMITS, setHereIn } from '@noria/core';
import { memo, useMemo, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { COLUMN_WORDS } from '../kinds/words';
import { count, rounded } from '../../ui/words';
import { selectSaved } from '../document/selectors';
import { needleMoved, shown } from '../editorSlice';
import { selectBand, selectLayout, selectNeedle } from '../selectors';
import { SetForChoice } from './SetForChoice';

/** The width now shown, which can be typed, and what it gives. */
export function NeedleReading() {
  const dispatch = useAppDispatch();
  const needle = useAppSelector(selectNeedle);
  const { from, below } = useAppSelector(selectBand);
  const [typed, setTyped] = useState<string | null>(null);
  const settle = () => {
    const width = Number(typed);
    if (typed && Number.isFinite(width)) dispatch(needleMoved(width));
    setTyped(null);
  };
  return (
    <section
      aria-label="Width shown"
      className="grid content-start gap-px border-b border-hair bg-panel px-4 pt-1.5"
    >
      <div className="flex items-baseline gap-1.5">
        <input
          aria-label="Width shown, px"
          inputMode="numeric"
          className="min-w-[2ch] [field-sizing:content] rounded-s bg-transparent font-figures text-xl font-semibold tracking-[-0.06em] text-copper-ink"
          value={typed ?? String(needle)}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={settle}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              settle();
              event.currentTarget.select();
            }
            if (event.key === 'Escape') setTyped(null);
          }}
        />
        <span className="figures text-faint">px wide</span>
        <BandButton />
      </div>
      <p className="text-sm whitespace-nowrap text-soft">
        <WhatItGives />, <Reach from={from} below={below} />
      </p>
      <SetForChoice />
    </section>
  );
}

/** “Five columns of 234”, “Six rows of 214 to 250”, “Six cards”. */
function WhatItGives() {
  const { arrangement } = useAppSelector(selectBand);
  const { inlineSize, columns, rows, tiles } = useAppSelector(selectLayout);
  const { kind, padding, columnGap } = arrangement;
  if (kind === 'fan') return count(tiles.length, 'card');
  if (kind === 'rows') {
    const sizes = rows.map(({ size }) => Math.round(size));
    if (sizes.length === 0) return 'No rows';
    const [least, most] = [Math.min(...sizes), Math.max(...sizes)];
    return (
      <>
        {count(sizes.length, 'row')} of{' '}
        <span className="figures">{least === most ? least : `${least}–${most}`}</span>
      </>
    );
  }
  if (isAlong(arrangement))
    return (
      <>
        {count(rows.length, 'lane')} of <span className="figures">{rounded(rows[0]?.size ?? 0)}</span>
      </>
    );
  const even = new Set(columns.map(({ size }) => size.toFixed(2))).size === 1;
  const inner = inlineSize - padding.inlineStart - padding.inlineEnd;
  return (
    <>
      {count(columns.length, COLUMN_WORDS[kind] ?? 'column')}
      {even && (
        <>
          {' of '}
          <span className="figures">{rounded(evenColumn(inner, columns.length, columnGap))}</span>
        </>
      )}
    </>
  );
}

/** Opens the band as a whole, and says how much is set in it. */
const BandButton = memo(function BandButton() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectSaved);
  const { index } = useAppSelector(selectBand);
  const isOpen = useAppSelector(({ editor }) => editor.showing === 'band');
  const set = useMemo(() => setHereIn(document, index).length, [document, index]);
  return (
    <button
      type="button"
      aria-pressed={isOpen}
      title="The band: derive it, what is set here, where it ends (w)"
      className={`ml-auto flex items-center gap-1.5 rounded-s px-1.5 text-sm ${isOpen ? 'bg-field font-semibold' : 'text-soft hover:text-ink'}`}
      onClick={() => dispatch(shown(isOpen ? null : 'band'))}
    >
      {index > 0 && set > 0 && <i className="drop" aria-hidden />}
      {index === 0 ? 'Widest band' : set === 0 ? 'All carried' : `${set} set here`}
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
