import type { Layout } from '@noria/core';
import type { StageSpace } from './space';

/** The lines of the grid with their numbers. */
export function GridLines({ layout, space: { scale, offset } }: { layout: Layout; space: StageSpace }) {
  const { columns, rows } = layout;
  const lines = (tracks: typeof columns, shift: number) =>
    tracks.flatMap((track, k) => {
      const start = { number: k + 1, at: (track.start + shift) * scale };
      return k === tracks.length - 1
        ? [start, { number: k + 2, at: (track.start + track.size + shift) * scale }]
        : [start];
    });
  return (
    <svg
      className="pointer-events-none absolute inset-0 size-full overflow-visible"
      aria-hidden
      data-testid="grid-lines"
    >
      {lines(columns, offset).map(({ number, at }) => (
        <g key={`c${number}`} transform={`translate(${at})`}>
          <path
            d={`M0 0V${layout.blockSize * scale}`}
            stroke="var(--water-5)"
            strokeOpacity=".7"
            strokeDasharray="2 3"
          />
          <rect x="-8" y="3" width="16" height="13" rx="2" fill="var(--water-1)" />
          <text y="13" textAnchor="middle" fontSize="9" fill="var(--water-ink)" className="font-figures">
            {number}
          </text>
        </g>
      ))}
      {lines(rows, 0).map(({ number, at }) => (
        <g key={`r${number}`} transform={`translate(0 ${at})`}>
          <path
            d={`M0 0H${(layout.inlineSize + 2 * offset) * scale}`}
            stroke="var(--water-5)"
            strokeOpacity=".7"
            strokeDasharray="2 3"
          />
          <rect x="-20" y="-6.5" width="16" height="13" rx="2" fill="var(--water-1)" />
          <text
            x="-12"
            y="3.5"
            textAnchor="middle"
            fontSize="9"
            fill="var(--water-ink)"
            className="font-figures"
          >
            {number}
          </text>
        </g>
      ))}
    </svg>
  );
}
