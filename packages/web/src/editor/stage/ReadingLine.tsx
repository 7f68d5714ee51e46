import { useAppSelector } from '../hooks';
import { selectLayout } from '../selectors';
import type { StageSpace } from './space';

/** A line through the tiles as they are read, with a number on each. */
export function ReadingLine({ space: { scale, x, y } }: { space: StageSpace }) {
  const { tiles } = useAppSelector(selectLayout);
  const points = tiles.map((tile) => ({
    id: tile.id,
    at: [(tile.x + x + tile.inlineSize / 2) * scale, (tile.y + y + tile.blockSize / 2) * scale] as const,
  }));
  return (
    <svg
      data-testid="reading-line"
      aria-hidden
      className="pointer-events-none absolute inset-0 z-[105] size-full overflow-visible"
    >
      {(['var(--panel)', 'var(--copper)'] as const).map((colour, k) => (
        <polyline
          key={colour}
          points={points.map(({ at }) => at.map((px) => px.toFixed(1)).join()).join(' ')}
          fill="none"
          stroke={colour}
          strokeWidth={k === 0 ? 4 : 1.75}
          strokeLinejoin="round"
          strokeOpacity={k === 0 ? 0.7 : 1}
        />
      ))}
      {points.map(({ id, at }, k) => (
        <g key={id} transform={`translate(${at[0]} ${at[1]})`}>
          <circle r="10" fill="var(--copper)" stroke="var(--panel)" strokeWidth="1.5" />
          <text
            y="3.5"
            textAnchor="middle"
            fontSize="10"
            fontWeight="600"
            fill="var(--on-copper)"
            className="font-figures"
          >
            {k + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
