import { nearestSpan, placeIn, setSpan, type LaidOutTile, type Tile } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { sayPlace } from '../actions';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { boxStyle, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface HandOutlineProps {
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
  readonly withGrips: boolean;
}

/** A thick rounded outline with the span on a tab, and half-round grips on the far ends. */
export function HandOutline({ laidOut, space, withGrips }: HandOutlineProps) {
  const shown = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const { look } = shown;
  const pinned = placeIn(shown, shown.tiles[laidOut.id] as Tile, band.index).pin !== null;
  const box = boxStyle(space, laidOut);
  const tabInside = box.top < 16;
  return (
    <div
      data-testid="in-hand"
      className="pointer-events-none absolute z-10 border-2 border-copper"
      style={{
        left: box.left - 3,
        top: box.top - 3,
        width: box.width + 6,
        height: box.height + 6,
        borderRadius: look.radius * space.scale + 3,
      }}
    >
      <span
        className={`figures absolute left-2 rounded-s bg-copper px-[7px] py-[3px] leading-none font-[550] whitespace-nowrap text-on-copper ${tabInside ? 'top-1' : '-top-[19px]'}`}
      >
        {laidOut.columnSpan} × {laidOut.rowSpan}
        {pinned && ' pinned'}
      </span>
      {withGrips && (
        <>
          <Grip laidOut={laidOut} space={space} axis="inline" />
          <Grip laidOut={laidOut} space={space} axis="block" />
          <Grip laidOut={laidOut} space={space} axis="both" />
        </>
      )}
    </div>
  );
}

const GRIPS = {
  inline: {
    place: '-right-[15px] top-1/2 -mt-[17px] h-[34px] w-[22px] cursor-ew-resize',
    shape: 'left-[7px] top-[6px] h-[22px] w-[7px] rounded-r-[7px]',
  },
  block: {
    place: '-bottom-[15px] left-1/2 -ml-[17px] h-[22px] w-[34px] cursor-ns-resize',
    shape: 'left-[6px] top-[7px] h-[7px] w-[22px] rounded-b-[7px]',
  },
  both: {
    place: '-right-[15px] -bottom-[15px] size-[26px] cursor-nwse-resize',
    shape:
      'left-[4px] top-[4px] size-[14px] rounded-[2px_7px_7px_7px] [clip-path:polygon(100%_0,100%_100%,0_100%)]',
  },
} as const;

function Grip({
  laidOut,
  space,
  axis,
}: {
  laidOut: LaidOutTile;
  space: StageSpace;
  axis: keyof typeof GRIPS;
}) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const bind = useGrab({
    name: 'Span',
    begin: () => ({ layout, laidOut }),
    command: (dx, dy, start) => {
      const { columns, rows } = start.layout;
      const { x, y, inlineSize, blockSize, column, row } = start.laidOut;
      const more = { size: rows.at(-1)?.size ?? 0, gap: band.arrangement.rowGap, most: 6 };
      const wanted = {
        ...(axis !== 'block' && {
          columnSpan: nearestSpan(columns, column, x + inlineSize + dx / space.scale),
        }),
        ...(axis !== 'inline' && { rowSpan: nearestSpan(rows, row, y + blockSize + dy / space.scale, more) }),
      };
      const same =
        (wanted.columnSpan ?? start.laidOut.columnSpan) === start.laidOut.columnSpan &&
        (wanted.rowSpan ?? start.laidOut.rowSpan) === start.laidOut.rowSpan;
      return same ? null : setSpan({ tiles: [start.laidOut.id], band: band.index, setFor, ...wanted });
    },
    onDone: () => dispatch(sayPlace()),
  });
  const { place, shape } = GRIPS[axis];
  return (
    <div
      {...bind()}
      data-testid={`grip-${axis}`}
      title="Drag to span more or fewer cells"
      className={`pointer-events-auto absolute touch-none ${place}`}
    >
      <i className={`absolute bg-copper ${shape}`} />
    </div>
  );
}
