const LEGIBLE = 4.5;
const LEGIBLE_LARGE = 3;

/** The contrast of words to what is behind them, and whether that is enough (WCAG 2.2, 1.4.3). */
export function Contrast({ ratio, short = false }: { ratio: number; short?: boolean }) {
  const says =
    ratio >= LEGIBLE ? 'legible at any size' : ratio >= LEGIBLE_LARGE ? 'legible from 24 px' : 'hard to read';
  return (
    <span
      className={ratio < LEGIBLE ? 'text-amiss' : 'text-faint'}
      title={`Contrast of the words to what is behind them: ${says}; 4.5 : 1 is legible`}
    >
      <span className="figures">{ratio.toFixed(1)} : 1</span>
      {!short && `, ${says}`}
    </span>
  );
}
