import { useRef, useState } from 'react';

interface TrackCellProps {
  readonly name: string;
  readonly size: string;
  /** Along the left edge, written upwards. */
  readonly upright: boolean;
  /** Answers whether the text was a track size. */
  readonly onSet: (size: string) => boolean;
  readonly onReset: () => void;
}

/** One track on a ledge: pressed to type its size; Tab goes to the next, a double press resets. */
export function TrackCell({ name, size, upright, onSet, onReset }: TrackCellProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const openedAt = useRef(0);
  const settle = () => {
    const text = typed?.trim();
    const refused = text !== undefined && text !== '' && text !== size && !onSet(text);
    if (!refused) setTyped(null);
    return !refused;
  };
  if (typed !== null) {
    return (
      <input
        autoFocus
        aria-label={`${name}, size`}
        className={`figures absolute z-10 rounded-[2px] bg-raised px-1 text-center shadow-float outline-2 outline-copper ${upright ? 'top-1/2 left-0 h-5 w-[84px] -translate-y-1/2' : '-top-0.5 left-1/2 h-5 w-full min-w-[84px] -translate-x-1/2'}`}
        value={typed}
        onFocus={(event) => event.target.select()}
        onDoubleClick={(event) => {
          // The second press of a double click: the first has just opened this field.
          if (event.timeStamp - openedAt.current > 600) return;
          setTyped(null);
          onReset();
        }}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (!settle()) setTyped(null);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') settle();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
    );
  }
  return (
    <button
      type="button"
      aria-label={`${name}, ${size}`}
      title="Press to type a size, double click to reset"
      className={`figures grid size-full place-items-center overflow-hidden rounded-[2px] bg-water-1 text-[10px] whitespace-nowrap text-water-ink hover:outline-1 hover:outline-copper ${upright ? 'rotate-180 [writing-mode:vertical-rl]' : ''}`}
      onClick={(event) => {
        openedAt.current = event.timeStamp;
        setTyped(size);
      }}
      onFocus={(event) => {
        if (event.target.matches(':focus-visible') && event.relatedTarget instanceof HTMLInputElement)
          setTyped(size);
      }}
    >
      {size.replace('px', '\u2009px')}
    </button>
  );
}
