import {
  cornersOf,
  nearestLine,
  nearestSpan,
  placeAt,
  placeIn,
  setSpan,
  type Arrangement,
  type CollectionDocument,
  type GridArea,
  type LaidOutTile,
  type Layout,
  type Tile,
  type TileId,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { sayPlace } from '../actions/place';
import {
  selectBand,
  selectFrame,
  selectLooks,
  selectNeedle,
  selectSelected,
  selectLayout,
  selectSetFor,
  selectView,
} from '../selectors';
import { interfaceOf } from '../kinds';
import type { Grips } from '../kinds/kind';
import { boxStyle, withMoreRows, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface SelectionOutlineProps {
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
  readonly withGrips: boolean;
}

/** A thick rounded outline with the span on a tab across it, so that neither reaches over a gap, and half-round grips on its ends. */
export function SelectionOutline({ laidOut, space, withGrips }: SelectionOutlineProps) {
  const shown = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const tile = shown.tiles[laidOut.id] as Tile;
  const place = placeIn(shown, tile, band.index);
  const radius =
    useAppSelector((state) => selectLooks(state).tiles[tile.id]?.look.radius) ?? shown.look.radius;
  const page = useAppSelector(selectNeedle);
  const box = boxStyle(space, laidOut);
  const tabInside = box.top < 10;
  return (
    <div
      data-testid="selection"
      className="pointer-events-none absolute z-[110] border-2 border-copper"
      style={{
        left: box.left - 3,
        top: box.top - 3,
        width: box.width + 6,
        height: box.height + 6,
        borderRadius: cornersOf(shown.namedLooks, radius, page)
          .map((corner) => `${corner * space.scale + 3}px`)
          .join(' '),
      }}
    >
      <span
        className={`figures absolute left-2 rounded-s bg-copper px-[7px] py-[3px] leading-none font-[550] whitespace-nowrap text-on-copper ${tabInside ? 'top-1' : '-top-[9px]'}`}
      >
        {interfaceOf(band.arrangement).takes({ at: laidOut, place, arrangement: band.arrangement })}
      </span>
      {withGrips && (
        <>
          {gripsOf(band.arrangement).map((grip) => (
            <Grip key={grip} laidOut={laidOut} space={space} grip={grip} />
          ))}
        </>
      )}
    </div>
  );
}

/** The ends by which a tile of a kind takes more or less. */
const gripsOf = (arrangement: Arrangement): readonly GripName[] =>
  GRIPS_OF[interfaceOf(arrangement).grips(arrangement)];

/** Each end of a tile, and the corner at its far ends. */
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
  inlineStart: {
    place: '-left-[15px] top-1/2 -mt-[13px] h-[26px] w-[18px] cursor-ew-resize',
    shape: 'right-[3px] top-[6px] h-[14px] w-[5px] rounded-l-[5px]',
  },
  blockStart: {
    place: '-top-[15px] left-1/2 -ml-[13px] h-[18px] w-[26px] cursor-ns-resize',
    shape: 'left-[6px] bottom-[3px] h-[5px] w-[14px] rounded-t-[5px]',
  },
} as const;

type GripName = keyof typeof GRIPS;

const GRIPS_OF: Readonly<Record<Grips, readonly GripName[]>> = {
  all: Object.keys(GRIPS) as GripName[],
  inline: ['inline'],
  none: [],
};

const TITLES: Readonly<Record<GripName, string>> = {
  inline: 'Drag to span more or fewer columns',
  block: 'Drag to span more or fewer rows',
  both: 'Drag to span more or fewer cells',
  inlineStart: 'Drag to change the start column',
  blockStart: 'Drag to change the start row',
};

interface GripStart {
  readonly view: CollectionDocument;
  readonly tracks: Pick<Layout, 'columns' | 'rows'>;
  readonly from: LaidOutTile;
  readonly ids: readonly TileId[];
}

const MORE_ROWS = 6;

function Grip({ laidOut, space, grip }: { laidOut: LaidOutTile; space: StageSpace; grip: GripName }) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const view = useAppSelector(selectView);
  const selected = useAppSelector(selectSelected);
  const band = useAppSelector(selectBand);
  const frame = useAppSelector(selectFrame);
  const setFor = useAppSelector(selectSetFor);
  const bind = useGrab<GripStart>({
    begin: () => ({
      view,
      tracks: withMoreRows(layout, frame, MORE_ROWS),
      from: laidOut,
      ids: selected.map(({ id }) => id),
    }),
    ask: ({ dx, dy }, { view: before, tracks, from, ids }) => {
      const area = gripped(grip, tracks, from, dx / space.scale, dy / space.scale);
      const { column, row, columnSpan, rowSpan } = area;
      const key = [column, row, columnSpan, rowSpan].join();
      if (key === [from.column, from.row, from.columnSpan, from.rowSpan].join()) return null;
      const fromStart = column !== from.column || row !== from.row;
      const spans = {
        ...(columnSpan !== from.columnSpan && { columnSpan }),
        ...(rowSpan !== from.rowSpan && { rowSpan }),
      };
      return {
        key,
        name: 'Span',
        command: () =>
          fromStart
            ? placeAt(before, from.id, band, area, setFor)
            : setSpan({ tiles: ids, band: band.index, setFor, ...spans }),
      };
    },
    onDone: () => dispatch(sayPlace()),
  });
  const { place, shape } = GRIPS[grip];
  return (
    <div
      {...bind()}
      data-testid={`grip-${grip}`}
      title={TITLES[grip]}
      className={`pointer-events-auto absolute touch-none ${place}`}
    >
      <i className={`absolute bg-copper ${shape}`} />
    </div>
  );
}

/** The cells that a tile takes when a grip has been dragged by so many px. */
function gripped(
  grip: GripName,
  { columns, rows }: GripStart['tracks'],
  from: LaidOutTile,
  dx: number,
  dy: number,
): GridArea {
  const { column, row, columnSpan, rowSpan, x, y, inlineSize, blockSize } = from;
  const area = { column, row, columnSpan, rowSpan };
  if (grip === 'inlineStart') {
    const start = Math.min(nearestLine(columns, x + dx), column + columnSpan - 1);
    return { ...area, column: start, columnSpan: column + columnSpan - start };
  }
  if (grip === 'blockStart') {
    const start = Math.min(nearestLine(rows, y + dy), row + rowSpan - 1);
    return { ...area, row: start, rowSpan: row + rowSpan - start };
  }
  return {
    ...area,
    ...(grip !== 'block' && { columnSpan: nearestSpan(columns, column, x + inlineSize + dx) }),
    ...(grip !== 'inline' && { rowSpan: nearestSpan(rows, row, y + blockSize + dy) }),
  };
}
