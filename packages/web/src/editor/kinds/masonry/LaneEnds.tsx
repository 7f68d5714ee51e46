import { holeFrom, isAlong, laneEnds, laneHoles, type Track } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { selectFrame, selectLayout } from '../../selectors';
import { boxStyle, type StageSpace } from '../../stage/space';

/** The lanes of a masonry, what stays open in them, and what each ends short of the longest. */
export function LaneEnds({ space }: { space: StageSpace }) {
  const layout = useAppSelector(selectLayout);
  const arrangement = useAppSelector(selectFrame);
  const { padding, rowGap, columnGap } = arrangement;
  if (layout.tiles.length === 0) return null;
  const along = isAlong(arrangement);
  const gap = along ? columnGap : rowGap;
  const ends = laneEnds(layout, arrangement);
  const longest = Math.max(...ends);
  /** A stretch of a lane, from where its first tile begins. */
  const stretch = ({ start, size }: Track, from: number, length: number) =>
    along
      ? { x: padding.inlineStart + from, y: start, inlineSize: length, blockSize: size }
      : { x: start, y: padding.blockStart + from, inlineSize: size, blockSize: length };
  const from = holeFrom(layout, arrangement);
  const holes = laneHoles(layout, arrangement).filter(({ size }) => size >= from);
  return (along ? layout.rows : layout.columns).map((track, lane) => {
    const end = ends[lane] ?? 0;
    const short = longest - end;
    const open = [
      ...holes
        .filter((hole) => hole.lane === lane)
        .map(({ from, size }) => ({
          from,
          size,
          words: `${Math.round(size)} px of this lane stay empty`,
          says: Math.round(size),
        })),
      ...(short > gap + 2
        ? [
            {
              from: end + gap,
              size: short - gap,
              words: `This lane ends ${Math.round(short)} px short of the longest`,
              says: Math.round(short),
            },
          ]
        : []),
    ];
    return (
      <div key={lane} aria-hidden>
        <div
          data-testid="lane"
          className={`pointer-events-none absolute border-[var(--water-5)] opacity-30 ${along ? 'border-y' : 'border-x'}`}
          style={boxStyle(space, stretch(track, 0, longest))}
        />
        {open.map(({ from, size, words, says }) => (
          <div
            key={from}
            data-testid="lane-open"
            title={words}
            className="hatched absolute grid place-items-center rounded-s"
            style={boxStyle(space, stretch(track, from, size))}
          >
            {size * space.scale > 18 && (
              <span className="figures rounded-s bg-raised px-1 text-soft">{says}</span>
            )}
          </div>
        ))}
      </div>
    );
  });
}
