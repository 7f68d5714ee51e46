import { ToggleGroup } from 'radix-ui';
import { useName } from './Rows';

interface SegmentsProps<V extends string> {
  /** Left out: the label of its row. */
  readonly name?: string;
  readonly value: V;
  readonly choices: readonly { readonly value: V; readonly label: string; readonly disabled?: boolean }[];
  readonly onChoose: (value: V) => void;
}

/** One of a few words. */
export function Segments<V extends string>({ name, value, choices, onChoose }: SegmentsProps<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      {...useName(name)}
      value={value}
      onValueChange={(chosen) => chosen && onChoose(chosen as V)}
      className="flex h-[26px] rounded-s bg-field p-0.5"
    >
      {choices.map((choice) => (
        <ToggleGroup.Item
          key={choice.value}
          value={choice.value}
          disabled={choice.disabled ?? false}
          className="flex-1 rounded-[2px] px-1 text-[12px] whitespace-nowrap text-soft hover:text-ink disabled:opacity-40 data-[state=on]:bg-raised data-[state=on]:font-semibold data-[state=on]:text-ink data-[state=on]:shadow-[0_1px_2px_oklch(0.25_0.03_195/0.15)]"
        >
          {choice.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
