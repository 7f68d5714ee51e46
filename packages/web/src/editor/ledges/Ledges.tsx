import {
  explicitTracks,
  hasCells,
  isSquare,
  rowAsShare,
  shareOfRows,
  type Arrangement,
  type Track,
} from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectBand, selectLayout, selectView } from '../selectors';
import { LedgeTrack } from './LedgeTrack';
import type { StageSpace } from '../stage/space';
import { interfaceOf } from '../kinds';
import { isSeen, type Seen } from '../stage/seen';

export interface LedgeProps {
  readonly space: StageSpace;
  readonly left: number;
}

/** The columns along the top of the page: each shows its size and takes another. */
export function ColumnLedge({ space, left }: LedgeProps) {
  const { columns } = useAppSelector(selectLayout);
  return (
    <Ledge
      name="Columns"
      axis="column"
      tracks={columns}
      scale={space.scale}
      offset={left + space.x * space.scale}
      className="sticky top-[38px] z-[118] h-[34px] bg-ground pt-[14px]"
    />
  );
}

/** The rows along the left of the page. */
export function RowLedge({ space, top, left, seen }: LedgeProps & { top: number; seen: Seen | null }) {
  const { rows } = useAppSelector(selectLayout);
  return (
    <Ledge
      name="Rows"
      axis="row"
      tracks={rows}
      scale={space.scale}
      offset={space.y * space.scale}
      seen={seen}
      shift={space.y}
      className="absolute z-[117] w-8"
      style={{ top, left: left - 38 }}
    />
  );
}

/** Whether the tracks of an axis are a list of sizes that can be changed one by one. */
const isListed = (arrangement: Arrangement, axis: 'column' | 'row') =>
  axis === 'column'
    ? interfaceOf(arrangement).listsColumns === true
    : hasCells(arrangement.kind) && !isSquare(arrangement);

interface AxisProps {
  readonly name: string;
  readonly axis: 'column' | 'row';
  readonly tracks: readonly Track[];
  readonly scale: number;
  /** From the ledge’s start to the grid’s, px of the screen. */
  readonly offset: number;
  readonly className: string;
  /** The stretch that is drawn, and where the tracks begin in it, px of the layout; left out: all. */
  readonly seen?: Seen | null;
  readonly shift?: number;
  readonly style?: { top: number; left: number };
}

function Ledge({ name, axis, tracks, scale, offset, className, style, seen = null, shift = 0 }: AxisProps) {
  const view = useAppSelector(selectView);
  const { index: band, arrangement } = useAppSelector(selectBand);
  const sizes = explicitTracks(view, axis, band, tracks.length);
  const one = axis === 'row' ? shareOfRows(arrangement) : null;
  if (!isListed(arrangement, axis)) {
    const isColumn = axis === 'column';
    return (
      <div role="group" aria-label={name} className={className} style={style}>
        {tracks.map(
          (track, index) =>
            isSeen(seen, track.start + shift, track.size) && (
              <span
                key={index}
                title={`${Math.round(track.size)} px, by the settings`}
                className={`figures absolute flex items-center justify-center overflow-hidden bg-water-1 text-water-ink ${isColumn ? 'top-[14px] h-4' : 'right-0 w-4 [writing-mode:vertical-rl]'}`}
                style={
                  isColumn
                    ? { left: offset + track.start * scale, width: track.size * scale }
                    : { top: offset + track.start * scale, height: track.size * scale }
                }
              >
                {track.size * scale > 26 && `${Math.round(track.size)}${isColumn ? ' px' : ''}`}
              </span>
            ),
        )}
      </div>
    );
  }
  return (
    <div role="group" aria-label={name} className={className} style={style}>
      {tracks.map(
        (track, index) =>
          isSeen(seen, track.start + shift, track.size) && (
            <LedgeTrack
              key={index}
              axis={axis}
              index={index}
              text={rowAsShare(sizes[index] ?? '', one)}
              start={offset + track.start * scale}
              size={track.size * scale}
              scale={scale}
            />
          ),
      )}
    </div>
  );
}
