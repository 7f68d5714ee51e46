import { LEAST_CONTRAST, LEAST_CONTRAST_LARGE } from '@noria/core';

interface ContrastProps {
  readonly ratio: number;
  /** What the words need: less where all of them are large. */
  readonly need: number;
  readonly short?: boolean;
}

/** The contrast of words to what is behind them, and whether that is enough (WCAG 2.2, 1.4.3). */
export function Contrast({ ratio, need, short = false }: ContrastProps) {
  const says =
    ratio >= LEAST_CONTRAST
      ? 'legible at any size'
      : ratio >= need
        ? 'legible at its size'
        : ratio >= LEAST_CONTRAST_LARGE
          ? 'legible from 24 px'
          : 'hard to read';
  return (
    <span
      className={ratio < need ? 'text-amiss' : 'text-faint'}
      title={`Contrast of the words to what is behind them: ${says}; its words need ${need} : 1`}
    >
      <span className="figures">{ratio.toFixed(1)} : 1</span>
      {!short && `, ${says}`}
    </span>
  );
}
