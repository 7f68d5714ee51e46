import { resolvedBandAt, colourOf, flatTiles, layoutCollection, cornersOf } from '@noria/core';
import { X } from 'lucide-react';
import { useMemo } from 'react';
import { useMeasurer } from '../../editor/engine/useMeasurer';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { SignButton } from '../../ui/Button';
import { arrangementWords } from '../../editor/kinds/words';
import { boxStyle } from '../../editor/stage/space';
import { Ground } from '../../editor/stage/Ground';
import { Holes } from '../../editor/stage/Holes';
import { needleMoved } from '../../editor/editorSlice';
import { selectSelected, selectOrigin, selectWhole } from '../../editor/selectors';
import { StagePage } from '../../editor/stage/StagePage';
import { TileHands } from '../../editor/stage/TileHands';
import { selectShown } from '../../editor/document/selectors';
import { selectFindings } from '../../editor/fit/selectors';
import { Sign } from '../../editor/fit/Sign';

/** What a pane is wider than its page, for its frame and its scroll bar, px. */
export const EDGE = 10;

/** A pane that is narrower than this, px, has no room for its columns in words. */
const LEAST_FOR_WORDS = 130;

interface PaneProps {
  readonly width: number;
  readonly scale: number;
  readonly onScroll: (element: HTMLElement) => void;
  /** Widths that were added can be taken away again. */
  readonly onRemove?: () => void;
}

/** The collection at one width. Pointed at, the needle goes there, and it is edited in place. */
export function Pane({ width, scale, onScroll, onRemove }: PaneProps) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const findings = useAppSelector(selectFindings);
  const isActive = useAppSelector((state) => state.editor.needle === width);
  const isSweeping = useAppSelector((state) => state.document.trial !== null);
  const measurer = useMeasurer();
  const layout = useMemo(() => layoutCollection(document, width, { measurer }), [document, width, measurer]);
  const band = resolvedBandAt(document, width);
  const here = findings.filter(({ ranges }) => ranges.some(({ from, to }) => width >= from && width <= to));
  // While something is dragged or tried, the pane that it began in stays the one.
  const enter = () => !isActive && !isSweeping && dispatch(needleMoved(width));
  const [worst] = here;
  return (
    <section
      aria-label={`At ${width} px`}
      data-pane={width}
      className="grid min-h-0 flex-none grid-rows-[34px_minmax(0,1fr)]"
      style={{ width: width * scale + EDGE }}
      onPointerEnter={(event) => event.buttons === 0 && enter()}
    >
      <header className="flex items-center gap-2 overflow-hidden whitespace-nowrap">
        <button
          type="button"
          aria-pressed={isActive}
          className={`figures rounded-s px-1 py-0.5 text-[12px] font-semibold ${isActive ? 'bg-copper text-on-copper' : 'text-ink hover:text-copper-ink'}`}
          onClick={enter}
          onFocus={enter}
        >
          {width}
        </button>
        <span className={`truncate text-sm text-soft ${width * scale < LEAST_FOR_WORDS ? 'sr-only' : ''}`}>
          {arrangementWords(band.arrangement.kind, band.columns.length)}
        </span>
        {worst && (
          <span className="flex items-center gap-1" title={here.map(({ title }) => title).join('\n')}>
            <Sign severity={worst.severity} size={10} />
            <span className="figures">{here.length}</span>
          </span>
        )}
        {onRemove && (
          <SignButton name={`Remove ${width} px`} className="ml-auto size-5!" onClick={onRemove}>
            <X size={13} aria-hidden />
          </SignButton>
        )}
      </header>
      <div
        data-pane-scroll
        role="group"
        aria-label={`Page at ${width} px`}
        tabIndex={0}
        className="relative min-h-0 overflow-x-hidden overflow-y-auto [scrollbar-width:thin]"
        onScroll={(event) => onScroll(event.currentTarget)}
      >
        <div
          className={`relative isolate overflow-hidden ${isActive ? 'shadow-[0_0_0_1.5px_var(--copper)]' : 'shadow-[0_0_0_1px_var(--hair)]'}`}
          style={{
            width: width * scale,
            height: layout.blockSize * scale,
            margin: 2,
            background: colourOf(document.namedLooks, document.look.background),
          }}
        >
          <StagePage document={document} layout={layout} width={width} scale={scale} pictureSize={640} />
          {isActive ? (
            <Hands width={width} scale={scale} />
          ) : (
            <HeldOutlines width={width} scale={scale} layout={layout} />
          )}
        </div>
      </div>
    </section>
  );
}

/** What is taken hold of in the pane that is worked in, by the same gestures as on the stage. */
function Hands({ width, scale }: { width: number; scale: number }) {
  const whole = useAppSelector(selectWhole);
  const origin = useAppSelector(selectOrigin);
  const x = Math.max(0, (width - whole.inlineSize) / 2) + origin.x;
  const space = useMemo(() => ({ scale, x, y: origin.y }), [scale, x, origin.y]);
  return (
    <>
      <Ground space={space} left={0} />
      <Holes space={space} />
      <TileHands space={space} />
    </>
  );
}

interface HeldOutlinesProps {
  readonly width: number;
  readonly scale: number;
  readonly layout: ReturnType<typeof layoutCollection>;
}

/** The selected tiles, seen in the other panes. */
function HeldOutlines({ width, scale, layout }: HeldOutlinesProps) {
  const document = useAppSelector(selectShown);
  const held = useAppSelector(selectSelected).map(({ id }) => id);
  const x = Math.max(0, (width - layout.inlineSize) / 2);
  return flatTiles(layout)
    .filter(({ id }) => held.includes(id))
    .map((tile) => (
      <div
        key={tile.id}
        className="pointer-events-none absolute outline-[1.5px] outline-offset-1 outline-copper"
        style={{
          ...boxStyle({ scale, x, y: 0 }, tile),
          borderRadius: cornersOf(
            document.namedLooks,
            document.tiles[tile.id]?.look.radius ?? document.look.radius,
            width,
          )
            .map((corner) => `${corner * scale}px`)
            .join(' '),
        }}
      />
    ));
}
