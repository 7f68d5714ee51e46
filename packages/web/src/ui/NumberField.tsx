import { useState, type KeyboardEvent } from 'react';

interface NumberFieldProps {
  readonly name: string;
  /** Null: several values, none shown. */
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly unit?: string;
  readonly whole?: boolean;
  readonly onSet: (value: number) => void;
}

/** A number that is typed, or stepped with the arrow keys (with Shift by ten). */
export function NumberField({ name, value, least, most, unit, whole = true, onSet }: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (value === null ? '' : String(Number(value.toFixed(2))));
  const parsed = typed === null ? value : Number(typed.trim().replace(',', '.'));
  const amiss =
    typed !== null && typed.trim() !== '' && !(parsed !== null && parsed >= least && parsed <= most);

  const settle = (next: number | null) => {
    setTyped(null);
    if (next === null || !Number.isFinite(next)) return;
    const within = Math.min(most, Math.max(least, whole ? Math.round(next) : next));
    if (within !== value) onSet(within);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') settle(typed === '' ? null : parsed);
    else if (event.key === 'Escape') setTyped(null);
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      settle((parsed ?? least) + by);
    }
  };

  return (
    <label
      className={`flex h-[26px] min-w-0 items-center justify-between gap-1 rounded-s bg-field px-2 focus-within:outline-2 focus-within:outline-copper ${amiss ? 'outline-2 outline-amiss' : ''}`}
    >
      <input
        inputMode="decimal"
        aria-label={unit ? `${name}, ${unit}` : name}
        aria-invalid={amiss}
        title={amiss ? `From ${least} to ${most}` : undefined}
        className="figures w-full min-w-0 bg-transparent outline-none"
        value={shown}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={onKeyDown}
        onFocus={(event) => event.target.select()}
        onBlur={() => settle(typed === null || typed.trim() === '' ? null : parsed)}
      />
      {unit && <span className="text-xs whitespace-nowrap text-faint">{unit}</span>}
    </label>
  );
}
