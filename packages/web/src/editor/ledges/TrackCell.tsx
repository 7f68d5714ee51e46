import { ContextMenu } from 'radix-ui';
import { useRef, useState } from 'react';
import { SignButton } from '../../ui/Button';
import { FieldNote, takeBackTyped, useTyping } from '../../ui/typing';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { readTrackSize, trackSizeProblem } from '../fields/trackSize';
import { RESET_TRACK, TRACK_COMMANDS } from '../commands/trackCommands';

interface TrackCellProps {
  /** Rows lie along the left edge, written upwards. */
  readonly axis: 'column' | 'row';
  readonly name: string;
  readonly size: string;
  readonly onSet: (size: string) => void;
  readonly onRun: (command: (typeof TRACK_COMMANDS)[number]) => void;
}

/** One track on a ledge: pressed to type its size; Tab goes to the next, a double press resets. */
export function TrackCell(props: TrackCellProps) {
  const { axis, name, size, onRun } = props;
  const upright = axis === 'row';
  const [openedAt, setOpenedAt] = useState<number | null>(null);
  const isLeft = useRef(false);
  if (openedAt !== null) {
    return (
      <SizeField
        {...props}
        openedAt={openedAt}
        onClose={(byKey) => {
          isLeft.current = byKey;
          setOpenedAt(null);
        }}
      />
    );
  }
  return (
    <ContextMenu.Root>
      <ContextMenu.Trigger asChild>
        <button
          // The focus goes back to what was pressed.
          ref={(button) => {
            if (isLeft.current) button?.focus();
            isLeft.current = false;
          }}
          type="button"
          aria-label={`${name}, ${size}`}
          title="Press to type a size, double-click to reset, right-click for more"
          className={`figures grid size-full place-items-center overflow-hidden rounded-[2px] bg-water-1 text-[10px] whitespace-nowrap text-water-ink hover:outline-1 hover:outline-copper ${upright ? 'rotate-180 [writing-mode:vertical-rl]' : ''}`}
          onClick={(event) => setOpenedAt(event.timeStamp)}
          onFocus={(event) => {
            if (event.target.matches(':focus-visible') && event.relatedTarget instanceof HTMLInputElement)
              setOpenedAt(event.timeStamp);
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

interface SizeFieldProps extends TrackCellProps {
  readonly openedAt: number;
  readonly onClose: (byKey: boolean) => void;
}

/** Where a size is typed, and what else can be done with the track. */
function SizeField({ axis, name, size, onSet, onRun, openedAt, onClose }: SizeFieldProps) {
  const upright = axis === 'row';
  const { input, amiss, note } = useTyping({
    value: size,
    problem: trackSizeProblem,
    apply: (text) => {
      const read = readTrackSize(text);
      if (read !== null && read !== size) onSet(read);
    },
    giveBack: () => onClose(true),
  });
  return (
    <>
      <span
        className={`absolute z-10 ${upright ? 'top-1/2 left-0 h-5 w-[104px] -translate-y-1/2' : '-top-0.5 left-1/2 h-5 w-full min-w-[104px] -translate-x-1/2'}`}
      >
        <input
          {...input}
          autoFocus
          aria-label={`${name}, size`}
          className={`figures size-full rounded-[2px] bg-raised px-1 text-center shadow-float outline-2 ${amiss ? 'outline-amiss' : 'outline-copper'}`}
          onFocus={(event) => event.target.select()}
          onDoubleClick={(event) => {
            // The second press of a double click: the first has just opened this field.
            if (event.timeStamp - openedAt > 600) return;
            takeBackTyped(event.currentTarget);
            onClose(true);
            onRun(RESET_TRACK);
          }}
          onBlur={() => {
            input.onBlur();
            onClose(false);
          }}
        />
        <FieldNote id={note}>{amiss}</FieldNote>
      </span>
      <div
        className={`absolute z-10 flex rounded-s bg-raised p-0.5 shadow-float ${amiss ? 'hidden' : ''} ${upright ? 'top-1/2 left-0 mt-4' : 'top-6 left-1/2 -translate-x-1/2'}`}
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
                onClose(true);
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
