import { useCallback, useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';

/** How what is typed in a field and not applied is taken back; null: nothing is. */
const unapplied = new WeakMap<EventTarget, () => (() => void) | null>();

/** Whether something is typed in a field and not applied. */
export const isTyped = (field: EventTarget | null): boolean => takingBack(field) !== null;

/** Takes back what is typed in a field and not applied; answers whether there was something. */
export function takeBackTyped(field: EventTarget | null): boolean {
  const takeBack = takingBack(field);
  takeBack?.();
  return takeBack !== null;
}

const takingBack = (field: EventTarget | null) => (field && unapplied.get(field)?.()) ?? null;

/**
 * Gives the focus from a field back to what is worked on: the dialog around it, or what calls itself home
 * (`data-home`): a selected tile before the stage.
 */
export function giveFocusBack(field: HTMLElement): void {
  const home =
    field.closest<HTMLElement>('[role=dialog]') ??
    document.querySelector<HTMLElement>('[data-home=tile]') ??
    document.querySelector<HTMLElement>('[data-home]');
  if (home) home.focus({ preventScroll: true });
  else field.blur();
}

/** How long it is said that something typed was not taken, ms. */
const SAID_MS = 6000;

interface Typing {
  /** What the document says. */
  readonly value: string;
  /** Why a text can’t be taken, and what can; null: it can. */
  readonly problem?: (text: string) => string | null;
  /** Takes a text; a text that it answers says why it could not. */
  readonly apply: (text: string) => unknown;
  /** Whether nothing is a value too; left out: nothing typed changes nothing. */
  readonly takesNothing?: boolean;
  /** Where the focus goes after Enter and Escape; left out: back to what is worked on. */
  readonly giveBack?: (field: HTMLElement) => void;
}

/**
 * A field whose text is applied as one: by Enter, which gives the focus back, or by leaving it. Escape
 * restores what the document says, and gives the focus back too. What can’t be taken is said at the field,
 * and changes nothing.
 */
export function useTyping({ value, problem, apply, takesNothing = false, giveBack = giveFocusBack }: Typing) {
  const [typed, setTyped] = useState<string | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  // A field that loses the focus by what it has just done must not do it again.
  const now = useRef<string | null>(null);
  const note = useId();
  const field = useRef<HTMLInputElement | null>(null);

  const type = (text: string | null) => {
    now.current = text;
    setTyped(text);
    if (text !== null) setRefused(null);
  };
  const isNothing = (text: string) => text.trim() === '' && !takesNothing;
  const why = (text: string) => (isNothing(text) ? null : (problem?.(text) ?? null));
  /** Answers why what is typed was not taken; null: it was, or nothing is typed. */
  const settle = () => {
    const text = now.current;
    if (text === null || isNothing(text)) {
      type(null);
      return null;
    }
    const because = why(text) ?? apply(text);
    if (typeof because === 'string') return because;
    type(null);
    return null;
  };
  useEffect(() => {
    if (refused === null) return;
    const timer = window.setTimeout(() => setRefused(null), SAID_MS);
    return () => window.clearTimeout(timer);
  }, [refused]);
  const register = useCallback((element: HTMLInputElement | null) => {
    field.current = element;
    if (!element) return;
    const takeBack = () => {
      now.current = null;
      setTyped(null);
    };
    unapplied.set(element, () => (now.current === null ? null : takeBack));
  }, []);

  const amiss = typed === null ? refused : (why(typed) ?? refused);
  return {
    typed,
    amiss,
    note,
    field,
    settle,
    /** As if this were typed. */
    type,
    input: {
      ref: register,
      value: typed ?? value,
      'aria-invalid': amiss !== null,
      'aria-describedby': amiss === null ? undefined : note,
      onChange: ({ target }: { readonly target: HTMLInputElement }) => type(target.value),
      onBlur: () => {
        const because = settle();
        if (because === null) return;
        type(null);
        setRefused(`Not changed. ${because}`);
      },
      onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'Escape') {
          event.preventDefault();
          event.stopPropagation();
          type(null);
          setRefused(null);
        } else if (event.key !== 'Enter') return;
        else {
          event.preventDefault();
          const because = settle();
          setRefused(because);
          if (because !== null) return;
        }
        giveBack(event.currentTarget);
      },
    },
  };
}

/** Moves what would reach over the right edge of its panel, where it is cut, back inside. */
function keepInside(note: HTMLElement | null) {
  if (!note) return;
  const panel = note.closest('aside, [role="dialog"]');
  const edge = panel?.getBoundingClientRect().right ?? window.innerWidth;
  const over = note.getBoundingClientRect().right + 8 - edge;
  if (over > 0) note.style.translate = `${-over}px`;
}

/** Says below a field why its text can’t be taken, and what can. */
export const FieldNote = ({ id, children }: { readonly id: string; readonly children: string | null }) =>
  children !== null && (
    <span
      ref={keepInside}
      id={id}
      role="alert"
      className="absolute top-full left-0 z-[130] mt-1 w-max max-w-[230px] rounded-s bg-amiss px-2 py-1 text-left text-xs font-normal whitespace-normal text-panel shadow-float"
    >
      {children}
    </span>
  );
