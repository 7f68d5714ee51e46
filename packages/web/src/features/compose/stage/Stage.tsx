import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { useSize } from '../../../ui/useSize';
import { selectShown } from '../../document';
import { AddTile } from '../belt/AddTile';
import { taken } from '../composeSlice';
import { ColumnLedge, RowLedge } from '../ledges/Ledges';
import { selectInHand, selectLayout, selectNeedle } from '../selectors';
import { Holes } from './Holes';
import { GridLines } from './GridLines';
import { StagePage } from './StagePage';
import { TileHands } from './TileHands';
import type { StageSpace } from './space';

/** Room for the ledges at the page’s left and top, and air at its right. */
const LEFT = 58;
const TOP = 36;
const RIGHT = 26;
/** How high an empty page stands, so that there is something to begin on. */
const EMPTY = 360;

export function Stage() {
  const dispatch = useAppDispatch();
  const [ref, size] = useSize();
  const document = useAppSelector(selectShown);
  const layout = useAppSelector(selectLayout);
  const needle = useAppSelector(selectNeedle);
  const inHand = useAppSelector(selectInHand);
  const { sweeping, showLines } = useAppSelector((state) => state.compose);
  const scale = size ? Math.min(1, (size.width - LEFT - RIGHT) / needle) : 0;
  // A page narrower than the stage stands in its middle.
  const left = LEFT + Math.max(0, ((size?.width ?? 0) - LEFT - RIGHT - needle * scale) / 2);
  const height = layout.tiles.length === 0 ? EMPTY : layout.blockSize * scale;
  const space: StageSpace = { scale, offset: Math.max(0, (needle - layout.inlineSize) / 2) };
  const letGo = () => inHand.length > 0 && dispatch(taken([]));

  return (
    <main
      ref={ref}
      aria-label="Stage"
      className="relative min-h-0 overflow-auto [scrollbar-gutter:stable] [scrollbar-width:thin]"
      onPointerDown={(event) => event.target === event.currentTarget && letGo()}
    >
      <h1 className="sr-only">Compose {document.name}</h1>
      {scale > 0 && (
        <div style={{ width: left + needle * scale, height: TOP + height + 28 }} className="relative">
          <ColumnLedge space={space} left={left} />
          <RowLedge space={space} top={TOP} left={left} />
          <div
            className="absolute shadow-[0_0_0_1px_var(--hair)]"
            style={{ left, top: TOP, width: needle * scale, height, background: document.look.ground }}
          >
            <div className="absolute inset-0 overflow-hidden">
              <StagePage
                document={document}
                layout={layout}
                width={needle}
                scale={scale}
                gliding={!sweeping}
              />
            </div>
            <div className="absolute inset-0" data-testid="stage-ground" onPointerDown={letGo} />
            {showLines && <GridLines layout={layout} space={space} />}
            <Holes space={space} />
            <TileHands space={space} />
            {layout.tiles.length === 0 && (
              <div className="absolute inset-0 m-auto grid h-fit w-fit justify-items-center gap-3 rounded-m bg-panel px-6 py-5 text-center shadow-float">
                <p className="font-title text-lg font-semibold">No tiles yet</p>
                <AddTile label="Add the first tile" />
              </div>
            )}
          </div>
        </div>
      )}
    </main>
  );
}
