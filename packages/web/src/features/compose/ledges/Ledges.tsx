import { explicitTracks, type Track } from '@noria/core';
import { useAppSelector } from '../../../store/hooks';
import { selectBand, selectLayout, selectView } from '../selectors';
import { LedgeTrack } from './LedgeTrack';
import type { StageSpace } from '../stage/space';

interface LedgeProps {
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
      className="sticky top-0 z-[118] h-[34px] bg-ground pt-[14px]"
    />
  );
}

/** The rows along the left of the page. */
export function RowLedge({ space, top, left }: LedgeProps & { top: number }) {
  const { rows } = useAppSelector(selectLayout);
  return (
    <Ledge
      name="Rows"
      axis="row"
      tracks={rows}
      scale={space.scale}
      offset={space.y * space.scale}
      className="absolute z-[117] w-8"
      style={{ top, left: left - 38 }}
    />
  );
}

interface AxisProps {
  readonly name: string;
  readonly axis: 'column' | 'row';
  readonly tracks: readonly Track[];
  readonly scale: number;
  /** From the ledge’s start to the grid’s, px of the screen. */
  readonly offset: number;
  readonly className: string;
  readonly style?: { top: number; left: number };
}

function Ledge({ name, axis, tracks, scale, offset, className, style }: AxisProps) {
  const view = useAppSelector(selectView);
  const { index: band, arrangement } = useAppSelector(selectBand);
  const sizes = explicitTracks(view, axis, band, tracks.length);
  if (axis === 'column' && arrangement.kind === 'fluid') {
    return (
      <div role="group" aria-label={name} className={className} style={style}>
        {tracks.map((track, index) => (
          <span
            key={index}
            title="As many columns as fit; set their least width in the settings"
            className="figures absolute top-[14px] flex h-4 items-center justify-center overflow-hidden bg-water-1 text-water-ink"
            style={{ left: offset + track.start * scale, width: track.size * scale }}
          >
            {Math.round(track.size)} px
          </span>
        ))}
      </div>
    );
  }
  return (
    <div role="group" aria-label={name} className={className} style={style}>
      {tracks.map((track, index) => (
        <LedgeTrack
          key={index}
          axis={axis}
          index={index}
          text={sizes[index] ?? ''}
          start={offset + track.start * scale}
          size={track.size * scale}
          scale={scale}
        />
      ))}
    </div>
  );
}
