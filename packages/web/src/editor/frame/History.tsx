import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { MENU } from '../../ui/menu';
import { useAppDispatch, useAppSelector } from '../hooks';
import { goToStep } from '../document/run';
import { selectFuture, selectPast, selectSaved } from '../document/selectors';
import { stepWords } from './stepWords';

/** Every step by its name, to go back to or forward to. */
export function History() {
  const dispatch = useAppDispatch();
  const past = useAppSelector(selectPast);
  const future = useAppSelector(selectFuture);
  const document = useAppSelector(selectSaved);
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
          className={`z-[150] max-h-[420px] w-[320px] overflow-y-auto [scrollbar-width:thin] ${MENU}`}
        >
          <ol>
            {[{ name: 'As opened', patch: null }, ...steps].map((step, k) => {
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
                    <span className="flex-none">{step.name}</span>
                    {step.patch && <span className="truncate text-faint">{stepWords(step, document)}</span>}
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
