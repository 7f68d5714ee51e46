import { useAppSelector } from '../../../store/hooks';
import { selectInHand, selectLayout, selectView } from '../selectors';
import { HandOutline } from './HandOutline';
import { SpanPad } from './SpanPad';
import { TileHand } from './TileHand';
import type { StageSpace } from './space';

/** What a pointer and the keyboard take hold of: one button a tile, in reading order. */
export function TileHands({ space }: { space: StageSpace }) {
  const document = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const inHand = useAppSelector(selectInHand);
  const held = new Set(inHand.map(({ id }) => id));
  const single = inHand.length === 1 ? layout.tiles.find(({ id }) => id === inHand[0]?.id) : undefined;
  return (
    <>
      <ul aria-label="Tiles in reading order" className="contents">
        {layout.tiles.map((laidOut, k) => {
          const tile = document.tiles[laidOut.id];
          return (
            tile && (
              <li key={laidOut.id} className="contents">
                <TileHand
                  tile={tile}
                  laidOut={laidOut}
                  number={k + 1}
                  of={layout.tiles.length}
                  held={held.has(laidOut.id)}
                  takesTab={held.size > 0 ? held.has(laidOut.id) : k === 0}
                  space={space}
                />
              </li>
            )
          );
        })}
      </ul>
      {layout.tiles
        .filter(({ id }) => held.has(id))
        .map((laidOut) => (
          <HandOutline key={laidOut.id} laidOut={laidOut} space={space} withGrips={held.size === 1} />
        ))}
      {single && <SpanPad laidOut={single} space={space} />}
    </>
  );
}
