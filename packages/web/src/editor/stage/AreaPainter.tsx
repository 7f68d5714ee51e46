import {
  addTile,
  AREA_NAME,
  areaMap,
  assignArea,
  paintArea,
  placeIn,
  setPart,
  setTile,
  type Command,
  type GridArea,
} from '@noria/core';
import { useId, useRef, useState, type CSSProperties } from 'react';
import { useAppSelector } from '../hooks';
import { FieldNote, giveFocusBack } from '../../ui/typing';
import { freshId } from '../actions/freshId';
import { selectBand, selectSetFor, selectView } from '../selectors';

interface AreaPainterProps {
  readonly area: GridArea;
  readonly style: CSSProperties;
  /** Null: nothing is painted. */
  readonly onDone: (command: Command | null) => void;
}

/** Names the cells that were painted; with no tile in an area of that name, one is put in. */
export function AreaPainter({ area, style, onDone }: AreaPainterProps) {
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const kind = useAppSelector((state) => state.editor.drawn);
  const present = [...(areaMap(band.arrangement)?.areas.keys() ?? [])];
  const [name, setName] = useState(() => suggest(area, band.columns.length, present));
  const fits = AREA_NAME.test(name);
  const isDropped = useRef(false);
  const note = useId();

  const paint = () => {
    if (!fits) return;
    const isHeld = view.order.some((id) => {
      const tile = view.tiles[id];
      return tile && placeIn(view, tile, band.index).area === name;
    });
    const id = freshId(kind);
    onDone((draft) => {
      paintArea(name, area, band.index, setFor)(draft);
      if (isHeld) return;
      addTile(kind, id)(draft);
      setTile([id], { name })(draft);
      setPart([id], 'heading', { words: name })(draft);
      assignArea([id], name, 0, 'all')(draft);
    });
  };
  return (
    <form
      className="absolute z-[120] grid content-center justify-items-center gap-1"
      style={style}
      onSubmit={(event) => {
        event.preventDefault();
        // Leaving it paints.
        if (fits) giveFocusBack(event.currentTarget);
      }}
    >
      <input
        autoFocus
        aria-label="Name of the area"
        aria-invalid={!fits}
        aria-describedby={fits ? undefined : note}
        className={`h-7 w-[140px] rounded-s bg-raised px-2 text-center shadow-float outline-2 ${fits ? 'outline-copper' : 'outline-amiss'}`}
        value={name}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setName(event.target.value.trim().replace(/\s+/g, '-'))}
        onBlur={() => (fits && !isDropped.current ? paint() : onDone(null))}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          isDropped.current = true;
          giveFocusBack(event.currentTarget);
        }}
      />
      <FieldNote id={note}>
        {fits ? null : 'Write a word of letters, digits and hyphens, such as “side”.'}
      </FieldNote>
    </form>
  );
}

/** What such an area mostly is on a page. */
function suggest({ row, columnSpan }: GridArea, columns: number, present: readonly string[]): string {
  const isWide = columnSpan === columns;
  const likely = isWide
    ? row === 1
      ? 'header'
      : 'footer'
    : columnSpan * 2 < columns
      ? 'sidebar'
      : 'content';
  let name = likely;
  for (let n = 2; present.includes(name); n++) name = `${likely}-${n}`;
  return name;
}
