import { evaluate } from '@noria/core';
import { useDrag } from '@use-gesture/react';
import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { useName } from './Rows';

interface NumberFieldProps {
  /** Left out: the label of its row. */
  readonly name?: string;
  /** Null: several values, none shown. */
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** What it is counted in. */
  readonly unit?: string;
  readonly whole?: boolean;
  /** How much an arrow key or a step of a drag changes it; left out: 1. */
  readonly by?: number;
  /** What 100 % stands for in a sum that is typed. */
  readonly basis?: number;
  readonly onSet: (value: number) => void;
  /** Shows what a value would do while the field is dragged; null takes it back. */
  readonly onTry?: (value: number | null) => void;
}

/** Screen px that a drag goes for one step. */
const PX_A_STEP = 2;

/** A number that is typed, also as a sum, dragged, or stepped with the arrow keys (with Shift by ten). */
export function NumberField({
  name,
  value,
  least,
  most,
  unit,
  whole = true,
  by = 1,
  basis,
  onSet,
  onTry,
}: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const named = useName(name);
  const unitId = useId();
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<(() => void) | null>(null);
  const shown = typed ?? (value === null ? '' : String(Number(value.toFixed(3))));
  const parsed = typed === null ? value : evaluate(typed, basis);
  const amiss =
    typed !== null && typed.trim() !== '' && !(parsed !== null && parsed >= least && parsed <= most);

  const held = (next: number) => Math.min(most, Math.max(least, whole ? Math.round(next) : next));
  const settle = (next: number | null) => {
    setTyped(null);
    if (next !== null && held(next) !== value) onSet(held(next));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') settle(typed === '' ? null : parsed);
    else if (event.key === 'Escape') setTyped(null);
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const step = by * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      settle(Number(((parsed ?? least) + step).toFixed(4)));
    }
  };

  const bind = useDrag(
    ({ xy: [x], initial: [from], last, canceled, tap, memo, shiftKey, cancel, event }) => {
      if (!onTry || typed !== null || document.activeElement === input.current) return undefined;
      if (tap) {
        input.current?.focus();
        return undefined;
      }
      event.preventDefault();
      stop.current = last ? null : cancel;
      const start = (memo as number | undefined) ?? value ?? least;
      const next = held(
        Number((start + Math.round((x - from) / PX_A_STEP) * by * (shiftKey ? 10 : 1)).toFixed(4)),
      );
      if (canceled) onTry(null);
      else if (last) {
        onTry(null);
        if (next !== start) onSet(next);
      } else onTry(next);
      return start;
    },
    { filterTaps: true, axis: 'x', pointer: { capture: true, keys: false } },
  );

  return (
    <span
      {...bind()}
      data-number
      // A press beside the figure goes to it; where it is dragged, the drag sees to that.
      onClick={onTry ? undefined : () => input.current?.focus()}
      className={`flex h-[26px] min-w-0 touch-none items-center justify-between gap-1 rounded-s bg-field px-2 focus-within:outline-2 focus-within:outline-copper ${onTry ? 'cursor-ew-resize' : ''} ${amiss ? 'outline-2 outline-amiss' : ''}`}
      onKeyDownCapture={(event) => {
        if (event.key === 'Escape') stop.current?.();
      }}
    >
      <input
        ref={input}
        inputMode="text"
        {...named}
        aria-describedby={unit ? unitId : undefined}
        aria-invalid={amiss}
        title={
          amiss ? `From ${least} to ${most}` : onTry ? 'Drag, type, or type a sum like 1200/3' : undefined
        }
        className={`figures w-full min-w-0 bg-transparent outline-none ${onTry ? 'cursor-ew-resize focus:cursor-text' : ''}`}
        value={shown}
        onPointerDown={(event) => {
          // Until it has the focus, a press may be the beginning of a drag.
          if (onTry && document.activeElement !== event.currentTarget) event.preventDefault();
        }}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={onKeyDown}
        onFocus={(event) => event.target.select()}
        onBlur={() => settle(typed === null || typed.trim() === '' ? null : parsed)}
      />
      {unit && (
        <span id={unitId} className="pointer-events-none text-xs whitespace-nowrap text-faint">
          {unit}
        </span>
      )}
    </span>
  );
}
