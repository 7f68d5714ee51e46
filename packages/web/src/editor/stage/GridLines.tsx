import { areaMap, type Arrangement, type Layout } from '@noria/core';
import { areaBox, boxStyle, type StageSpace } from './space';

interface GridLinesProps {
  readonly layout: Layout;
  readonly arrangement: Arrangement;
  readonly space: StageSpace;
}

/** The names of the areas over the page. */
export function AreaNames({ layout, arrangement, space }: GridLinesProps) {
  return [...(areaMap(arrangement)?.areas ?? [])].map(([name, area]) => (
    <div
      key={name}
      data-testid="area"
      className="pointer-events-none absolute rounded-[10px] outline-[1.5px] outline-offset-2 outline-[var(--water-5)] outline-dashed"
      style={boxStyle(
        space,
        areaBox(layout, {
          column: area.columnStart,
          row: area.rowStart,
          columnSpan: area.columnEnd - area.columnStart,
          rowSpan: area.rowEnd - area.rowStart,
        }),
      )}
    >
      <span className="absolute top-1 right-1 rounded-s bg-water-1 px-1.5 text-xs font-semibold text-water-ink">
        {name}
      </span>
    </div>
  ));
}

/** The lines of the grid with their numbers. */
export function GridLines({ layout, space: { scale, x, y } }: Pick<GridLinesProps, 'layout' | 'space'>) {
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
      {lines(columns, x).map(({ number, at }) => (
        <g key={`c${number}`} transform={`translate(${at})`}>
          <path
            d={`M0 ${y * scale}v${layout.blockSize * scale}`}
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
      {lines(rows, y).map(({ number, at }) => (
        <g key={`r${number}`} transform={`translate(0 ${at})`}>
          <path
            d={`M${x * scale} 0h${layout.inlineSize * scale}`}
            stroke="var(--water-5)"
            strokeOpacity=".7"
            strokeDasharray="2 3"
          />
          <rect x={x * scale + 2} y="-6.5" width="16" height="13" rx="2" fill="var(--water-1)" />
          <text
            x={x * scale + 10}
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
