import { ContextMenu } from 'radix-ui';
import { useRef, useState } from 'react';
import { SignButton } from '../../ui/Button';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { RESET_TRACK, TRACK_COMMANDS } from '../commands/trackCommands';

interface TrackCellProps {
  /** Rows lie along the left edge, written upwards. */
  readonly axis: 'column' | 'row';
  readonly name: string;
  readonly size: string;
  /** Answers whether the text was a track size. */
  readonly onSet: (size: string) => boolean;
  readonly onRun: (command: (typeof TRACK_COMMANDS)[number]) => void;
}

/** One track on a ledge: pressed to type its size; Tab goes to the next, a double press resets. */
export function TrackCell({ axis, name, size, onSet, onRun }: TrackCellProps) {
  const upright = axis === 'row';
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
            onRun(RESET_TRACK);
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
          className={`absolute z-10 flex rounded-s bg-raised p-0.5 shadow-float ${upright ? 'top-1/2 left-0 mt-4' : 'top-6 left-1/2 -translate-x-1/2'}`}
        >
          {TRACK_COMMANDS.map((command) => {
            const Icon = command.icon[axis];
            return (
              <SignButton
                key={command.id}
                name={command.words(axis)}
                // The keyboard reaches these by the menu key, so that Tab goes on to the next track.
                tabIndex={-1}
                onPointerDown={(event) => {
                  event.preventDefault();
                  setTyped(null);
                  onRun(command);
                }}
              >
                <Icon size={15} aria-hidden />
              </SignButton>
            );
          })}
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
        <ContextMenu.Content className={`z-[150] min-w-[150px] ${MENU}`}>
          {TRACK_COMMANDS.map((command) => {
            const Icon = command.icon[axis];
            return (
              <ContextMenu.Item
                key={command.id}
                className={`gap-2 ${MENU_ITEM}`}
                onSelect={() => onRun(command)}
              >
                <Icon size={15} aria-hidden />
                {command.words(axis)}
              </ContextMenu.Item>
            );
          })}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
