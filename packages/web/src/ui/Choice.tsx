import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import type { ReactNode } from 'react';
import { MENU } from './menu';
import { useName } from './Rows';

export interface Choosable<V extends string> {
  readonly value: V;
  readonly label: string;
  readonly sign?: ReactNode;
}

interface ChoiceProps<V extends string> {
  /** Left out: the label of its row. */
  readonly name?: string;
  /** Null: several values. */
  readonly value: V | null;
  /** What stands there without a value; left out: several. */
  readonly placeholder?: string;
  readonly choices: readonly Choosable<V>[];
  readonly onChoose: (value: V) => void;
}

/** One of several words, in a list that opens. */
export function Choice<V extends string>({
  name,
  value,
  placeholder = 'several',
  choices,
  onChoose,
}: ChoiceProps<V>) {
  return (
    <Select.Root value={value ?? ''} onValueChange={(chosen) => chosen && onChoose(chosen as V)}>
      <Select.Trigger
        {...useName(name)}
        className="flex h-[26px] w-full min-w-0 items-center justify-between gap-1 rounded-s bg-field px-2 text-left"
      >
        <span className="truncate">
          <Select.Value placeholder={placeholder} />
        </span>
        <ChevronDown size={13} className="flex-none text-faint" aria-hidden />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          className={`z-[150] max-h-[320px] min-w-(--radix-select-trigger-width) overflow-hidden ${MENU}`}
        >
          <Select.Viewport>
            {choices.map(({ value: each, label, sign }) => (
              <Select.Item
                key={each}
                value={each}
                className="flex h-7 cursor-default items-center gap-2 rounded-s pr-2 pl-6 outline-none select-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink data-[state=checked]:font-semibold"
              >
                <Select.ItemIndicator className="absolute left-2.5">
                  <Check size={13} aria-hidden />
                </Select.ItemIndicator>
                {sign}
                <Select.ItemText>{label}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
