import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { MENU } from '../../ui/menu';
import { useAppDispatch, useAppSelector } from '../hooks';
import { goToStep } from '../document/run';
import { selectFuture, selectPast } from '../document/selectors';

/** Every step by its name, to go back to or forward to. */
export function History() {
  const dispatch = useAppDispatch();
  const past = useAppSelector(selectPast);
  const future = useAppSelector(selectFuture);
  const steps = [...past, ...future.toReversed()];
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="History"
        title="History"
        disabled={steps.length === 0}
        className="grid h-7 w-6 place-items-center rounded-s text-soft hover:bg-field hover:text-ink disabled:opacity-35"
      >
        <ChevronDown size={13} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          aria-label="History"
          className={`z-[150] max-h-[420px] w-[240px] overflow-y-auto [scrollbar-width:thin] ${MENU}`}
        >
          <ol>
            {[{ name: 'As opened' }, ...steps].map((step, k) => {
              const isNow = k === past.length;
              return (
                <li key={k}>
                  <button
                    type="button"
                    aria-current={isNow ? 'step' : undefined}
                    className={`flex h-7 w-full items-center gap-2 rounded-s px-2 text-left hover:bg-field ${isNow ? 'font-semibold text-copper-ink' : k > past.length ? 'text-faint' : ''}`}
                    onClick={() => dispatch(goToStep(k))}
                  >
                    <span className="figures w-6 text-faint">{k}</span>
                    <span className="truncate">{step.name}</span>
                  </button>
                </li>
              );
            })}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
