import { LIMITS } from '@noria/core';
import { useParams } from 'react-router';
import { RotateCcw } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Segments } from '../../ui/Segments';
import { useSize } from '../../ui/useSize';
import { needleMoved } from '../../editor/editorSlice';
import { selectNeedle } from '../../editor/selectors';
import { selectShown } from '../../editor/document/selectors';
import { TopBar } from '../../editor/frame/TopBar';
import { warn } from '../../ui/notices/noticesSlice';
import { usePage } from '../../editor/engine/usePage';
import { framedPage } from '../../editor/engine/framed';
import { TouchLayer } from './TouchLayer';

/** Room at either side of the page for the edges that are dragged. */
const EDGE = 26;

/** The exported page itself, in a frame whose edges are dragged. */
export function PreviewScreen() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const needle = useAppSelector(selectNeedle);
  const [measure, size] = useSize();
  const [played, setPlayed] = useState(0);
  const [dragging, setDragging] = useState(false);
  const [pointer, setPointer] = useState<'mouse' | 'touch'>('mouse');
  const frame = useRef<HTMLIFrameElement>(null);
  const { last, words } = usePage(document);
  const framed = useMemo(() => last && framedPage(last.of, last.page), [last]);
  const room = Math.max(0, (size?.width ?? 0) - 2 * EDGE);
  const scale = room === 0 ? 0 : Math.min(1, room / needle);
  const height = size?.height ?? 0;
  /** Says where a link leads, which is not followed here; one within the page is. */
  const follow = (event: MouseEvent) => {
    const link = (event.target as Element).closest('a[href]');
    const address = link?.getAttribute('href');
    if (!link || address == null) return;
    event.preventDefault();
    if (address.startsWith('#')) link.ownerDocument.getElementById(address.slice(1))?.scrollIntoView();
    else dispatch(warn(`This leads to ${address}. Preview stays on the page.`));
  };
  return (
    <div className="grid h-full grid-rows-[46px_44px_minmax(0,1fr)]">
      <TopBar id={id} />
      <section
        aria-label="Width of the page"
        className="flex items-center gap-3 border-b border-hair bg-panel px-4"
      >
        <h1 className="font-title font-semibold">Preview</h1>
        <div className="w-[128px]">
          <NumberField
            name="Width of the page"
            value={needle}
            least={LIMITS.narrowest}
            most={LIMITS.widest}
            unit="px wide"
            onSet={(width) => dispatch(needleMoved(width))}
          />
        </div>
        <p className="text-sm text-soft">
          The page as exported
          {scale < 1 && scale > 0 && (
            <>
              , at <span className="figures">{Math.round(scale * 100)}</span> % of its size
            </>
          )}
          . Drag its edges to change the width.
        </p>
        <div className="ml-auto w-[132px]">
          <Segments
            name="Pointer"
            value={pointer}
            choices={[
              { value: 'mouse', label: 'Mouse' },
              { value: 'touch', label: 'Touch' },
            ]}
            onChoose={setPointer}
          />
        </div>
        <Button onClick={() => setPlayed(played + 1)}>
          <RotateCcw size={14} strokeWidth={1.6} aria-hidden />
          Replay entrance
        </Button>
      </section>
      <main ref={measure} aria-label="Page" className="relative min-h-0 overflow-hidden">
        {framed === null && (
          <p role="status" className="grid h-full place-content-center text-soft">
            {words}
          </p>
        )}
        {framed !== null && scale > 0 && (
          <div
            className="absolute inset-y-0 left-1/2 -translate-x-1/2"
            style={{ width: needle * scale, height }}
          >
            <iframe
              key={played}
              ref={frame}
              title={`The page of ${document.name}`}
              sandbox="allow-same-origin allow-scripts"
              srcDoc={framed}
              onLoad={({ currentTarget }) => currentTarget.contentDocument?.addEventListener('click', follow)}
              className={`block origin-top-left bg-panel shadow-[0_0_0_1px_var(--hair)] ${dragging ? 'pointer-events-none' : ''}`}
              style={{ width: needle, height: height / scale, transform: `scale(${scale})` }}
            />
            {pointer === 'touch' && <TouchLayer frame={frame} scale={scale} />}
            {(['start', 'end'] as const).map((side) => (
              <Edge key={side} side={side} width={needle} scale={scale} onDrag={setDragging} />
            ))}
          </div>
        )}
      </main>
    </div>
  );
}

interface EdgeProps {
  readonly side: 'start' | 'end';
  readonly width: number;
  readonly scale: number;
  readonly onDrag: (dragging: boolean) => void;
}

/** An edge of the page: both move alike, since the page stands in the middle. */
function Edge({ side, width, scale, onDrag }: EdgeProps) {
  const dispatch = useAppDispatch();
  const bind = useDragGesture(({ movement: [dx], last, canceled, memo }) => {
    const from = (memo as number | undefined) ?? width;
    onDrag(!last);
    dispatch(needleMoved(canceled ? from : from + ((side === 'end' ? 2 : -2) * dx) / scale));
    return from;
  });
  return (
    <div
      {...bind()}
      role="separator"
      aria-orientation="vertical"
      aria-label={side === 'start' ? 'Left edge of the page' : 'Right edge of the page'}
      aria-valuenow={width}
      aria-valuemin={LIMITS.narrowest}
      aria-valuemax={LIMITS.widest}
      tabIndex={0}
      onKeyDown={({ key, shiftKey }) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[key];
        if (by) dispatch(needleMoved(width + by * (shiftKey ? 20 : 1)));
      }}
      className={`absolute inset-y-0 grid w-[18px] cursor-ew-resize touch-none place-items-center ${side === 'start' ? '-left-[22px]' : '-right-[22px]'}`}
    >
      <i className="h-14 w-1.5 rounded-[3px] bg-copper" />
    </div>
  );
}
