import { hasCells, bandAt, colourOf, isAlong } from '@noria/core';
import { Suspense, useCallback, useEffect, useMemo, useRef, useState, type DragEvent } from 'react';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector } from '../hooks';
import { writingIn } from '../editorSlice';
import { useSize } from '../../ui/useSize';
import { selectShown } from '../document/selectors';
import { whenShown, whenUsed } from '../../ui/lazily';
import { ColumnLedge, Holes, RowLedge, SelectionMarks, TileHands } from '../lazyParts';
import { selectBand, selectLayout, selectLevel, selectNeedle, selectOrigin, selectWhole } from '../selectors';
import { AreasBar } from './AreasBar';
import type { Hovering } from './dropPromise';
import { Ground, type GroundHandle } from './Ground';
import { interfaceOf } from '../kinds';
import { StagePage } from './StagePage';
import { useSeen } from './useSeen';
import type { StageSpace } from './space';

/** How high the bar above the page is. */
const BAR = 38;
/** Room for the ledges at the page’s left and top, and air at its right and below. */
const LEFT = 58;
const TOP = 36;
const RIGHT = 26;
const BELOW = 150;
/** How high an empty page stands, so that there is something to begin on. */
const EMPTY = 384;

/** The tile that a file was dropped on; the hands lie above the tiles. */
function tileUnder(event: DragEvent): string | null {
  const at = document.elementsFromPoint(event.clientX, event.clientY);
  const found = at.find((element) => element.matches('[data-tile-hand]'));
  return (found as HTMLElement | undefined)?.dataset.tileHand ?? null;
}

const pointOf = (event: DragEvent) => ({ x: event.clientX, y: event.clientY });

/** More tiles than these go to their cells at once, so that a drag keeps its pace. */
const MOST_GLIDING = 80;

const withDropped = whenUsed(() => import('./takeDropped'));
const Trail = whenShown(() => import('./Trail').then((file) => file.Trail));
const TileBar = whenShown(() => import('./TileBar').then((file) => file.TileBar));
const DropMarks = whenShown(() => import('./DropMarks').then((file) => file.DropMarks));
const BrushBar = whenShown(() => import('./BrushBar').then((file) => file.BrushBar));
const GridLines = whenShown(() => import('./GridLines').then((file) => file.GridLines));
const AreaNames = whenShown(() => import('./GridLines').then((file) => file.AreaNames));
const LevelVeil = whenShown(() => import('./LevelVeil').then((file) => file.LevelVeil));
const ReadingLine = whenShown(() => import('./ReadingLine').then((file) => file.ReadingLine));
const WordsOnStage = whenShown(() => import('../writing/WordsOnStage').then((file) => file.WordsOnStage));
const AddTile = whenShown(() => import('../belt/AddTile').then((file) => file.AddTile));

export function Stage() {
  const dispatch = useAppDispatch();
  const [measure, size] = useSize();
  const [scrolled, setScrolled] = useState<HTMLElement | null>(null);
  const ref = useCallback(
    (element: HTMLElement | null) => {
      setScrolled(element);
      return measure(element);
    },
    [measure],
  );
  const [bar, setBar] = useState<HTMLElement | null>(null);
  const [dropping, setDropping] = useState<Hovering | null>(null);
  // Another view has no field that keys could be for.
  useEffect(() => () => void dispatch(writingIn(null)), [dispatch]);
  const ground = useRef<GroundHandle>(null);
  const collection = useAppSelector(selectShown);
  const whole = useAppSelector(selectWhole);
  const layout = useAppSelector(selectLayout);
  const level = useAppSelector(selectLevel);
  const origin = useAppSelector(selectOrigin);
  const { arrangement } = useAppSelector(selectBand);
  const { Overlay, hasAreas } = interfaceOf(arrangement);
  const needle = useAppSelector(selectNeedle);
  const { sweeping, showLines, showOrder, tool, busy, brush, writing } = useAppSelector(
    (state) => state.editor,
  );
  const scale = size ? Math.min(1, (size.width - LEFT - RIGHT) / needle) : 0;
  // A page narrower than the stage stands in its middle.
  const left = LEFT + Math.max(0, ((size?.width ?? 0) - LEFT - RIGHT - needle * scale) / 2);
  const isEmpty = whole.tiles.length === 0;
  // What the page scrolls to sideways is seen beside it.
  const runsOut = useAppSelector((state) => isAlong(bandAt(selectShown(state), needle).arrangement));
  const flatCount = Object.keys(collection.tiles).length;
  const height = (isEmpty ? Math.max(EMPTY, whole.blockSize) : whole.blockSize) * scale;
  const x = Math.max(0, (needle - whole.inlineSize) / 2) + origin.x;
  const space: StageSpace = useMemo(() => ({ scale, x, y: origin.y }), [scale, x, origin.y]);
  const seen = useSeen(scrolled, { scale, top: BAR + TOP, height: size?.height ?? 0, tiles: flatCount });
  const hasFiles = (event: DragEvent) => event.dataTransfer.types.includes('Files');

  return (
    <main
      ref={ref}
      aria-label="Stage"
      tabIndex={-1}
      data-home="stage"
      className="relative min-h-0 overflow-auto outline-none select-none [scrollbar-gutter:stable] [scrollbar-width:thin]"
      onDragOver={(event) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        const onto = tileUnder(event);
        const cell = ground.current?.pointAt(onto === null ? pointOf(event) : null);
        const items = [...event.dataTransfer.items].filter(({ kind }) => kind === 'file');
        const now = { types: items.map(({ type }) => type).join(' '), onto, isCell: Boolean(cell) };
        setDropping((was) => (was && shallowEqual(was, now) ? was : now));
      }}
      onDragLeave={(event) => {
        if (event.target !== event.currentTarget) return;
        setDropping(null);
        ground.current?.pointAt(null);
      }}
      onDrop={(event) => {
        setDropping(null);
        if (!hasFiles(event)) return;
        event.preventDefault();
        const onto = tileUnder(event);
        const cell = onto === null ? (ground.current?.pointAt(pointOf(event)) ?? null) : null;
        ground.current?.pointAt(null);
        const [files, where] = [[...event.dataTransfer.files], { onto, cell, bestFit: event.shiftKey }];
        void withDropped(({ takeDropped }) => dispatch(takeDropped(files, where)));
      }}
    >
      <h1 className="sr-only">Compose {collection.name}</h1>
      <div ref={setBar} className="sticky top-0 left-0 z-[135] h-[38px] w-full bg-ground">
        <Suspense>
          {brush ? (
            <BrushBar />
          ) : tool === 'areas' ? (
            <AreasBar />
          ) : (
            scale > 0 && writing === null && <TileBar space={space} left={left} />
          )}
        </Suspense>
      </div>
      {level !== null && (
        <Suspense>
          <Trail />
        </Suspense>
      )}
      {scale > 0 && (
        <div
          style={{ width: left + needle * scale, height: TOP + height + BELOW }}
          className="relative isolate"
        >
          <ColumnLedge space={space} left={left} />
          <RowLedge space={space} top={TOP} left={left} seen={seen} />
          <div
            className="absolute shadow-[0_0_0_1px_var(--hair)]"
            style={{
              left,
              top: TOP,
              width: needle * scale,
              height,
              background: colourOf(collection.namedLooks, collection.look.background),
            }}
          >
            <div className={`absolute inset-0 ${runsOut ? '' : 'overflow-hidden'}`}>
              <StagePage
                document={collection}
                layout={whole}
                width={needle}
                scale={scale}
                gliding={!sweeping && writing === null && flatCount <= MOST_GLIDING}
                seen={seen}
                writing={writing}
              />
            </div>
            <Suspense>{level !== null && <LevelVeil layout={layout} space={space} />}</Suspense>
            <Ground ref={ground} space={space} left={left} />
            <Suspense>{showLines && <GridLines layout={layout} space={space} />}</Suspense>
            {(showLines || tool === 'areas') && hasAreas && (
              <Suspense>
                <AreaNames layout={layout} arrangement={arrangement} space={space} />
              </Suspense>
            )}
            <Holes space={space} />
            {Overlay && <Overlay space={space} seen={seen} />}
            <TileHands space={space} seen={seen} />
            <Suspense>
              {writing && (
                <WordsOnStage
                  key={`${writing.tile} ${writing.part}`}
                  place={writing}
                  scale={scale}
                  bar={bar}
                />
              )}
            </Suspense>
            <SelectionMarks space={space} />
            <Suspense>{dropping && <DropMarks space={space} hovering={dropping} />}</Suspense>
            <Suspense>{showOrder && <ReadingLine space={space} />}</Suspense>
            {isEmpty && (
              <div className="pointer-events-none absolute inset-x-0 top-full mx-auto mt-5 grid h-fit w-fit justify-items-center gap-2 rounded-m bg-panel px-6 py-4 text-center shadow-float">
                <p className="font-title text-lg font-semibold">No tiles yet</p>
                <p className="text-soft">
                  {hasCells(arrangement.kind)
                    ? 'Drag over cells to draw a tile, or drop pictures here.'
                    : 'Drop pictures here, or add a tile.'}
                </p>
                <div className="pointer-events-auto">
                  <Suspense>
                    <AddTile label="Add the first tile" />
                  </Suspense>
                </div>
              </div>
            )}
          </div>
        </div>
      )}
      <p
        role="status"
        className={`pointer-events-none fixed bottom-[112px] left-1/2 z-[140] rounded-m bg-raised px-4 py-2 shadow-float ${busy ? '' : 'hidden'}`}
      >
        {busy}
      </p>
    </main>
  );
}
