import { useId } from 'react';

/** A colour to press. */
export interface Swatch {
  readonly value: string;
  /** What it looks like, `#rrggbb`. */
  readonly colour: string;
  readonly name: string;
  readonly isChosen: boolean;
}

interface SwatchesProps {
  readonly title: string;
  readonly swatches: readonly Swatch[];
  readonly onSet: (value: string) => void;
}

/** Colours to press; nothing where there are none. */
export function Swatches({ title, swatches, onSet }: SwatchesProps) {
  const id = useId();
  if (swatches.length === 0) return null;
  return (
    <div className="grid gap-1">
      <span id={id} className="text-xs text-faint">
        {title}
      </span>
      <div role="group" aria-labelledby={id} className="flex flex-wrap gap-1.5">
        {swatches.map(({ value, colour, name, isChosen }) => (
          <button
            key={value}
            type="button"
            aria-label={name}
            title={name}
            aria-pressed={isChosen}
            className="size-6 rounded-full border border-hair aria-pressed:outline-2 aria-pressed:outline-offset-2 aria-pressed:outline-copper"
            style={{ background: colour }}
            onClick={() => onSet(value)}
          />
        ))}
      </div>
    </div>
  );
}
