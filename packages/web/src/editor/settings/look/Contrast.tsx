import { contrastNeed, LEAST_CONTRAST, LEAST_CONTRAST_LARGE, type Tile } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { selectLooks } from '../../selectors';
import { useContrast } from './useContrast';

interface ContrastProps {
  readonly tile: Tile;
  readonly short?: boolean;
}

/** The contrast of the words of a tile to what is behind them, and whether that is enough (WCAG 2.2, 1.4.3). */
export function Contrast({ tile, short = false }: ContrastProps) {
  const ratio = useContrast(tile);
  // Less where all of them are large.
  const need = contrastNeed(useAppSelector(selectLooks), tile);
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
