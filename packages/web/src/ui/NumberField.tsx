import { evaluate } from '@noria/core';
import { useId, type KeyboardEvent } from 'react';
import { useDragGesture } from './gesture';
import { useName } from './Rows';
import { FieldNote, takeBackTyped, useTyping } from './typing';

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
  /** Where something else than a number is taken too, such as a length with a unit. */
  readonly written?: Written;
  /** Shows what a value would do while the field is dragged; null takes it back. */
  readonly onTry?: (value: number | null) => void;
}

interface Written {
  /** What stands there; null: a number does. */
  readonly text: string | null;
  /** Whether a text is such a thing, taken or not. */
  readonly reads: (text: string) => boolean;
  /** Why a text is not taken; null: it is. */
  readonly problem: (text: string) => string | null;
  readonly onSet: (text: string) => void;
}

/** What no sum of numbers has. */
const HAS_UNIT = /[a-z%]/i;
const PX = /^\s*([\d.]+)\s*px\s*$/i;

/** A number that is no sum: it is taken as it is written, or not. */
const PLAIN = /^\s*[-+]?\d*[.,]?\d+\s*$/;

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
  written,
  onTry: onTryNumber,
}: NumberFieldProps) {
  // What is no number is typed, and not dragged.
  const onTry = written?.text == null ? onTryNumber : undefined;
  const named = useName(name);
  const unitId = useId();
  // “100% - 40” is a sum of px; CSS has no such length.
  const asWritten = (text: string) =>
    written && HAS_UNIT.test(text) && !PX.test(text) && (written.reads(text) || numberIn(text) === null);
  const numberIn = (text: string) => evaluate(text.replace(PX, '$1'), basis);
  const problem = (text: string) => {
    if (written && asWritten(text)) return written.problem(text);
    const number = numberIn(text);
    if (number === null) return 'Write a number, or a sum like 1200/3.';
    if (number < least || number > most) return `From ${least} to ${most}.`;
    return whole && !Number.isInteger(number) && PLAIN.test(text) ? 'Write a whole number.' : null;
  };
  const held = (next: number) => Math.min(most, Math.max(least, whole ? Math.round(next) : next));
  const set = (next: number) => {
    if (held(next) !== value) onSet(held(next));
  };
  const shownNumber = value === null ? '' : String(Number(value.toFixed(3)));
  const { typed, amiss, note, field, input } = useTyping({
    value: written?.text ?? shownNumber,
    problem,
    apply: (text) => (written && asWritten(text) ? written.onSet(text) : set(numberIn(text) ?? least)),
  });
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const isStep = event.key === 'ArrowUp' || event.key === 'ArrowDown';
    if (!isStep || written?.text != null) {
      input.onKeyDown(event);
      return;
    }
    event.preventDefault();
    const step = by * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
    const from = (typed === null ? value : evaluate(typed, basis)) ?? least;
    takeBackTyped(event.currentTarget);
    set(Number((from + step).toFixed(4)));
  };

  const bind = useDragGesture(
    ({ xy: [x], initial: [from], last, canceled, tap, memo, shiftKey, event }) => {
      if (!onTry || typed !== null || document.activeElement === field.current) return undefined;
      if (tap) {
        field.current?.focus();
        return undefined;
      }
      event.preventDefault();
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
      onClick={onTry ? undefined : () => field.current?.focus()}
      className={`relative flex h-[26px] min-w-0 touch-none items-center justify-between gap-1 rounded-s bg-field px-2 focus-within:outline-2 focus-within:outline-copper ${onTry ? 'cursor-ew-resize' : ''} ${amiss ? 'outline-2 outline-amiss' : ''}`}
    >
      <input
        inputMode="text"
        {...named}
        {...input}
        aria-describedby={[unit && unitId, amiss !== null && note].filter(Boolean).join(' ') || undefined}
        title={
          written?.text != null
            ? `${written.text}: ${shownNumber} px at this width`
            : onTry
              ? 'Drag, type, or type a sum like 1200/3'
              : undefined
        }
        className={`figures w-full min-w-0 bg-transparent outline-none ${onTry ? 'cursor-ew-resize focus:cursor-text' : ''}`}
        onPointerDown={(event) => {
          // Until it has the focus, a press may be the beginning of a drag.
          if (onTry && document.activeElement !== event.currentTarget) event.preventDefault();
        }}
        onKeyDown={onKeyDown}
        onFocus={(event) => event.target.select()}
      />
      {unit && written?.text == null && (
        <span id={unitId} className="pointer-events-none text-xs whitespace-nowrap text-faint">
          {unit}
        </span>
      )}
      <FieldNote id={note}>{amiss}</FieldNote>
    </span>
  );
}
