import {
  bandAt,
  colourOf,
  lookedAt,
  partIn,
  placeIn,
  tileHtml,
  withPart,
  type Card,
  type CollectionDocument,
  type LaidOutTile,
  type Layout,
  type PartId,
  type Sources,
  type Tile,
} from '@noria/core';
import { memo, useMemo } from 'react';
import { createPortal } from 'react-dom';
import { useShadowRoot } from '../../ui/useShadowRoot';
import { clippedTiles, drawingCss, sourcesFor, type Clipped } from './drawing';
import { slotStyle } from './slotStyle';
import type { WordsPlace } from '../editorSlice';
import type { Seen } from './seen';

interface StagePageProps {
  readonly document: CollectionDocument;
  readonly layout: Layout;
  /** Width of the page, in px; the grid is centred in it. */
  readonly width: number;
  readonly scale: number;
  /** Tiles glide to where they go; not while the width is dragged. */
  readonly gliding?: boolean;
  /** The widest variant that pictures are fetched in. */
  readonly pictureSize?: number;
  /** The stretch of the page that is drawn; left out: all of it. */
  readonly seen?: Seen | null;
  /** Words over which there is a field that they are written in; they are not drawn meanwhile. */
  readonly writing?: WordsPlace | null;
}

/**
 * The collection as the page shows it: the page's own HTML and CSS inside a shadow root, each tile
 * put where core laid it out. It is for the eye only; what is done with tiles is done by the hands
 * above it, and read out from there.
 */
export const StagePage = memo(function StagePage({
  document,
  layout,
  width,
  scale,
  gliding = false,
  pictureSize = 1280,
  seen = null,
  writing = null,
}: StagePageProps) {
  const [host, root] = useShadowRoot();
  const { index } = bandAt(document, width);
  const { look, tiles, pictures, namedLooks, lower } = lookedAt(document, index);
  const drawn = clippedTiles(document, layout, width, seen);
  const [first, last] = ruled(tiles, drawn, seen);
  const css = useMemo(
    () => drawingCss({ look, tiles, pictures, namedLooks, lower }, first, last),
    [look, tiles, pictures, namedLooks, lower, first, last],
  );
  const sources = sourcesFor(pictureSize);
  const offset = Math.max(0, (width - layout.inlineSize) / 2);
  return (
    <div
      ref={host}
      inert
      aria-hidden
      data-stage-page
      style={{
        width,
        height: layout.blockSize,
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        background: colourOf(namedLooks, look.background),
      }}
    >
      {root &&
        createPortal(
          <>
            <style>{css}</style>
            {writing && <style>{writtenCss(writing)}</style>}
            {drawn.map(({ laidOut, clip }) => (
              <Slot
                key={laidOut.id}
                tile={tiles[laidOut.id] as Tile}
                layer={placeIn(document, tiles[laidOut.id] as Tile, index).layer}
                pictures={pictures}
                document={document}
                laidOut={laidOut}
                clip={clip}
                offset={offset}
                gliding={gliding}
                sources={sources}
                writing={writing?.tile === laidOut.id ? writing.part : null}
              />
            ))}
          </>,
          root,
        )}
    </div>
  );
});

const writtenCss = ({ tile, part }: WordsPlace) =>
  `[data-slot="${CSS.escape(tile)}"] [data-words="${CSS.escape(part)}"] { -webkit-text-fill-color: transparent; text-decoration-color: transparent; }`;

/** A card in which empty words have a line to be written in. */
const withRoom = (tile: Card, id: PartId): Card => {
  const part = partIn(tile, id);
  if (!part) return tile;
  if ('words' in part && part.words.length === 0) return withPart(tile, { ...part, words: '\u200b' });
  return 'caption' in part && part.caption === '' ? withPart(tile, { ...part, caption: '\u200b' }) : tile;
};

/** Rules of so many tiles are taken in or out at a time. */
const RULED = 240;
const positions = new WeakMap<CollectionDocument['tiles'], ReadonlyMap<string, number>>();

/**
 * The stretch of the collection’s tiles that have rules: every rule is tried on every tile, and other
 * rules are a new start for all of them, so there are few, and they seldom change.
 */
function ruled(
  tiles: CollectionDocument['tiles'],
  drawn: readonly Clipped[],
  seen: Seen | null,
): readonly [number, number] {
  if (seen === null) return [0, Infinity];
  let at = positions.get(tiles);
  if (!at) positions.set(tiles, (at = new Map(Object.keys(tiles).map((id, k) => [id, k]))));
  let [first, last] = [Infinity, 0];
  for (const { laidOut } of drawn) {
    const position = at.get(laidOut.id) ?? 0;
    first = Math.min(first, position);
    last = Math.max(last, position);
  }
  return [Math.floor(Math.min(first, last) / RULED) * RULED, (Math.floor(last / RULED) + 1) * RULED];
}

interface SlotProps {
  readonly tile: Tile;
  readonly pictures: CollectionDocument['pictures'];
  readonly document: CollectionDocument;
  readonly laidOut: LaidOutTile;
  /** What the group around it leaves to be seen; null: all. */
  readonly clip: string | null;
  readonly layer: number;
  readonly offset: number;
  readonly gliding: boolean;
  readonly sources: Sources;
  /** The part whose words are written; null: none. */
  readonly writing: PartId | null;
}

/** One tile of the page. Its HTML comes from core, which has escaped every word in it. */
const Slot = memo(
  function Slot({ tile, document, laidOut, clip, layer, offset, gliding, sources, writing }: SlotProps) {
    // What is in a group has slots of its own.
    const own =
      tile.kind === 'group' ? { ...tile, order: [] } : writing === null ? tile : withRoom(tile, writing);
    const html = tileHtml(document, own, sources);
    return (
      <div
        className={gliding ? 'slot gliding' : 'slot'}
        data-slot={laidOut.id}
        style={slotStyle({ ...laidOut, x: laidOut.x + offset, layer, clip })}
        dangerouslySetInnerHTML={{ __html: html }}
      />
    );
  },
  (before, after) =>
    before.tile === after.tile &&
    before.pictures === after.pictures &&
    before.layer === after.layer &&
    before.clip === after.clip &&
    before.offset === after.offset &&
    before.gliding === after.gliding &&
    before.sources === after.sources &&
    before.writing === after.writing &&
    before.document.films === after.document.films &&
    before.document.icons === after.document.icons &&
    before.laidOut.x === after.laidOut.x &&
    before.laidOut.y === after.laidOut.y &&
    before.laidOut.inlineSize === after.laidOut.inlineSize &&
    before.laidOut.blockSize === after.laidOut.blockSize,
);
