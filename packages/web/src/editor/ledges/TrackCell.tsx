import { ContextMenu } from 'radix-ui';
import { useRef, useState } from 'react';

/** What can be done with a track as a whole. */
export type TrackAct = 'before' | 'after' | 'duplicate' | 'remove' | 'even' | 'reset';

const ACTS: readonly { readonly act: TrackAct; readonly label: string }[] = [
  { act: 'before', label: 'Insert before' },
  { act: 'after', label: 'Insert after' },
  { act: 'duplicate', label: 'Duplicate' },
  { act: 'remove', label: 'Remove' },
  { act: 'even', label: 'Make all equal' },
  { act: 'reset', label: 'Reset' },
];

interface TrackCellProps {
  readonly name: string;
  readonly size: string;
  /** Along the left edge, written upwards. */
  readonly upright: boolean;
  /** Answers whether the text was a track size. */
  readonly onSet: (size: string) => boolean;
  readonly onAct: (act: TrackAct) => void;
}

/** One track on a ledge: pressed to type its size; Tab goes to the next, a double press resets. */
export function TrackCell({ name, size, upright, onSet, onAct }: TrackCellProps) {
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
      <>
        <input
          autoFocus
          aria-label={`${name}, size`}
          className={`figures absolute z-10 rounded-[2px] bg-raised px-1 text-center shadow-float outline-2 outline-copper ${upright ? 'top-1/2 left-0 h-5 w-[104px] -translate-y-1/2' : '-top-0.5 left-1/2 h-5 w-full min-w-[104px] -translate-x-1/2'}`}
          value={typed}
          onFocus={(event) => event.target.select()}
          onDoubleClick={(event) => {
            // The second press of a double click: the first has just opened this field.
            if (event.timeStamp - openedAt.current > 600) return;
            setTyped(null);
            onAct('reset');
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
        <div
          className={`absolute z-10 flex rounded-s bg-raised p-0.5 shadow-float ${upright ? 'top-1/2 left-0 mt-4 w-[104px] flex-wrap' : 'top-6 left-1/2 -translate-x-1/2'}`}
        >
          {ACTS.slice(0, 5).map(({ act, label }) => (
            <button
              key={act}
              type="button"
              // The keyboard reaches these by the menu key, so that Tab goes on to the next track.
              tabIndex={-1}
              className="h-6 rounded-[2px] px-1.5 text-[11.5px] whitespace-nowrap text-soft hover:bg-copper-wash hover:text-copper-ink"
              onPointerDown={(event) => {
                event.preventDefault();
                setTyped(null);
                onAct(act);
              }}
            >
              {label}
            </button>
          ))}
        </div>
      </>
    );
  }
  return (
    <ContextMenu.Root>
      <ContextMenu.Trigger asChild>
        <button
          type="button"
          aria-label={`${name}, ${size}`}
          title="Press to type a size, double-click to reset, right-click for more"
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
          {size.replace(/^(\d+)px$/, '$1\u2009px')}
        </button>
      </ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content className="z-[150] min-w-[150px] rounded-m bg-raised p-1 shadow-float">
          {ACTS.map(({ act, label }) => (
            <ContextMenu.Item
              key={act}
              className="flex h-7 items-center rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
              onSelect={() => onAct(act)}
            >
              {label}
            </ContextMenu.Item>
          ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
