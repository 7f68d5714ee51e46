import { Suspense } from 'react';
import { packed, tileName, unseenTiles, type CollectionDocument, type TileId } from '@noria/core';
import { useAppSelector } from '../hooks';
import { interfaceOf } from '../kinds';
import { selectBand, selectLayout, selectView } from '../selectors';
import { selectIsBegun } from './selectors';

/** Covered cells ÷ all cells at the needle's width; a hole never reads as 100 %, and a tile that lies hidden is said. */
export function PackedFigure() {
  const layout = useAppSelector(selectLayout);
  const { coverage, tiles } = layout;
  const band = useAppSelector(selectBand);
  const view = useAppSelector(selectView);
  const isBegun = useAppSelector(selectIsBegun);
  if (tiles.length === 0 || isBegun) return null;
  const { Figure } = interfaceOf(band.arrangement);
  if (Figure)
    return (
      <Suspense>
        <Figure />
      </Suspense>
    );
  // Rows and fans have no cells.
  if (coverage.cells === 0) return null;
  const share = Math.floor(packed(coverage) * 100);
  const hidden = unseenTiles(view, band, layout);
  const whole = coverage.holes.length === 0 && hidden.length === 0;
  return (
    <span
      className={`flex items-center gap-2 font-semibold ${whole ? 'text-sound' : 'text-ink'}`}
      title={
        whole
          ? 'All cells are filled'
          : hidden.length > 0
            ? `Not seen, since others lie over all of it: ${hidden.map((id) => called(view, id)).join(', ')}`
            : `${coverage.cells - coverage.covered} of ${coverage.cells} cells are empty`
      }
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden>
        <path d="M1 1h8v5H1zM10.5 1H15v9h-4.5zM1 7.500h8V15H1z" fill="currentColor" />
        <path
          d="M10.5 11.5H15V15h-4.5z"
          fill={whole ? 'currentColor' : 'none'}
          stroke={whole ? 'none' : 'var(--doubt)'}
        />
      </svg>
      <span data-testid="packed">Packed {share} %</span>
      {hidden.length > 0 && <span>{hidden.length} not seen</span>}
    </span>
  );
}

const called = (document: CollectionDocument, id: TileId) => {
  const tile = document.tiles[id];
  return tile ? `“${tileName(tile, document)}”` : id;
};
