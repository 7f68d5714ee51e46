import { Popover } from 'radix-ui';
import { HexColorInput, HexColorPicker } from 'react-colorful';

interface ColourFieldProps {
  readonly name: string;
  readonly value: string;
  readonly onSet: (value: string) => void;
}

export function ColourField({ name, value, onSet }: ColourFieldProps) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${name}, ${value}`}
        className="flex h-[26px] items-center gap-2 rounded-s bg-field px-2 text-left"
      >
        <span className="size-3.5 rounded-full border border-hair" style={{ background: value }} />
        <span className="figures">{value}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={12}
          aria-label={name}
          className="z-40 grid gap-2 rounded-m bg-raised p-3 shadow-float"
        >
          <HexColorPicker color={value} onChange={onSet} />
          <HexColorInput
            prefixed
            aria-label={`${name} in hexadecimal`}
            color={value}
            onChange={onSet}
            className="figures h-[26px] rounded-s bg-field px-2"
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
