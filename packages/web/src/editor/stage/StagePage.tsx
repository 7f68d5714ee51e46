import {
  bandAt,
  carriedArrangement,
  colourOf,
  contentCss,
  documentIn,
  fanOf,
  hasFluidType,
  isApart,
  levelOf,
  measureOf,
  namedRule,
  placeIn,
  tileCss,
  tileHtml,
  type CollectionDocument,
  type LaidOutTile,
  type Layout,
  type Level,
  type PictureImage,
  type Sources,
  type Tile,
  type TileId,
} from '@noria/core';
import { memo, useCallback, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { filmAddress } from '../../api/films';
import { addressFor } from '../../api/pictures';
import { isSeen, type Seen } from './useSeen';

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
}

/** Marks pictures that can’t be had any more, so that the stage shows where they are missing. */
function marksMissing(root: ShadowRoot): ShadowRoot {
  // These events don't bubble; on their way down they pass here.
  root.addEventListener(
    'error',
    ({ target }) => (target as Element).toggleAttribute('data-missing', true),
    true,
  );
  root.addEventListener(
    'load',
    ({ target }) => (target as Element).toggleAttribute('data-missing', false),
    true,
  );
  return root;
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
}: StagePageProps) {
  const [root, setRoot] = useState<ShadowRoot | null>(null);
  const host = useCallback((element: HTMLDivElement | null) => {
    if (element) setRoot(element.shadowRoot ?? marksMissing(element.attachShadow({ mode: 'open' })));
  }, []);
  const { index } = bandAt(document, width);
  const { look, tiles, pictures, namedLooks } = documentIn(document, index);
  const drawn = clippedTiles(document, layout, index, seen);
  const [first, last] = ruled(tiles, drawn, seen);
  const css = useMemo(() => {
    const own = [
      namedRule(':host', { namedLooks }),
      contentCss({ look }, Object.values(tiles).some(isApart)),
      ...Object.values(tiles)
        .slice(first, last)
        .map((tile) => tileCss({ pictures, namedLooks }, tile, stageImage)),
    ].join('\n');
    const grows = hasFluidType({ look, tiles, namedLooks });
    // A container costs every frame something, so it is one only where type grows with the page.
    return `${STAGE_CSS}${grows ? ':host { container-type: inline-size; }' : ''}${own}`;
  }, [look, tiles, pictures, namedLooks, first, last]);
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
        background: colourOf(namedLooks, look.ground),
      }}
    >
      {root &&
        createPortal(
          <>
            <style>{css}</style>
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
              />
            ))}
          </>,
          root,
        )}
    </div>
  );
});

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

/** Pictures behind words are as wide as the stage can be. */
const stageImage: PictureImage = (picture) => `url("${addressFor(picture, 1280)}")`;

const madeSources = new Map<number, Sources>();

function sourcesFor(pictureSize: number): Sources {
  let sources = madeSources.get(pictureSize);
  if (!sources) {
    sources = {
      picture: (picture) => ({ src: addressFor(picture, pictureSize) }),
      small: (picture, inlineSize) => addressFor(picture, inlineSize * 2),
      film: filmAddress,
    };
    madeSources.set(pictureSize, sources);
  }
  return sources;
}

const STAGE_CSS = `
:host { position: relative; display: block; }
.slot { position: absolute; inset: 0 auto auto 0; contain: strict; }
.slot > * { inline-size: 100%; block-size: 100%; }
.slot.gliding { transition: translate 160ms ease-out, width 160ms ease-out, height 160ms ease-out; }
.slot > figure:is(.picture, .film):not(:has(> img, > video)) { background-image: linear-gradient(to top right, transparent 49.7%, rgb(0 0 0 / .12) 49.7% 50.3%, transparent 50.3%); }
img[data-missing] { background: #e9e4dc repeating-linear-gradient(135deg, transparent 0 9px, rgb(80 60 40 / .16) 9px 10px); color: #3b3128; font: 13px/1.4 system-ui, sans-serif; padding: 10px; box-sizing: border-box; }
@media (prefers-reduced-motion: reduce) { .slot.gliding { transition: none; } }
`;

interface Clipped {
  readonly laidOut: LaidOutTile;
  readonly clip: string | null;
}

/** Every tile with the edge that it does not reach over: its group’s rounded one, or that of its fan. */
function clippedTiles(
  document: CollectionDocument,
  layout: Layout,
  band: number,
  seen: Seen | null,
): Clipped[] {
  const { look, namedLooks, tiles } = document;
  const radiusOf = (id: TileId) => measureOf(namedLooks, tiles[id]?.look.radius ?? look.radius);
  const inside = (
    { tiles: laid, groups, ...size }: Layout,
    level: Level,
    x: number,
    y: number,
    around: Edge | null,
  ): Clipped[] => {
    const arrangement = carriedArrangement(levelOf(document, level), band);
    const { kind, padding } = arrangement;
    const fan: Edge = {
      x: x + padding.inlineStart,
      y: y + padding.blockStart,
      inlineSize: size.inlineSize - padding.inlineStart - padding.inlineEnd,
      blockSize: size.blockSize - padding.blockStart - padding.blockEnd,
      round: '0',
    };
    const last = kind === 'fan' && level === null ? lastCard(laid) : null;
    const isInline = fanOf(arrangement).axis === 'inline';
    const edge = last ? roundCut(fan, last, radiusOf(last.id), isInline) : kind === 'fan' ? fan : around;
    return laid.flatMap((tile) => {
      if (!isSeen(seen, tile.y + y, tile.blockSize)) return [];
      const at = { ...tile, x: tile.x + x, y: tile.y + y };
      const inner = groups[tile.id];
      const own: Clipped = { laidOut: at, clip: edge && clipCss(at, edge) };
      if (!inner) return [own];
      return [own, ...inside(inner, tile.id, at.x, at.y, { ...at, round: `${radiusOf(tile.id)}px` })];
    });
  };
  return inside(layout, null, 0, 0, null);
}

interface Edge {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Radii of its corners in CSS. */
  readonly round: string;
}

/** The card over all others. */
const lastCard = (cards: readonly LaidOutTile[]) =>
  cards.reduce<LaidOutTile | null>(
    (last, card) => (last && (last.x > card.x || last.y > card.y) ? last : card),
    null,
  );

/** Where the last card is cut at the edge of its fan, it is as round as elsewhere. */
const roundCut = (edge: Edge, { blockSize }: LaidOutTile, radius: number, isInline: boolean): Edge =>
  isInline
    ? { ...edge, blockSize, round: `0 ${radius}px ${radius}px 0` }
    : { ...edge, round: `0 0 ${radius}px ${radius}px` };

function clipCss(tile: LaidOutTile, edge: Edge): string {
  const insets = [
    edge.y - tile.y,
    tile.x + tile.inlineSize - edge.x - edge.inlineSize,
    tile.y + tile.blockSize - edge.y - edge.blockSize,
    edge.x - tile.x,
  ];
  return `inset(${insets.map((px) => `${Number(px.toFixed(2))}px`).join(' ')} round ${edge.round})`;
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
}

/** One tile of the page. Its HTML comes from core, which has escaped every word in it. */
const Slot = memo(
  function Slot({ tile, document, laidOut, clip, layer, offset, gliding, sources }: SlotProps) {
    // What is in a group has slots of its own.
    const own = tile.kind === 'group' ? { ...tile, order: [] } : tile;
    const html = tileHtml(document, own, sources);
    return (
      <div
        className={gliding ? 'slot gliding' : 'slot'}
        data-slot={laidOut.id}
        style={{
          translate: `${laidOut.x + offset}px ${laidOut.y}px`,
          width: laidOut.inlineSize,
          height: laidOut.blockSize,
          ...(layer !== 0 && { zIndex: layer }),
          ...(clip !== null && { clipPath: clip }),
        }}
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
    before.document.films === after.document.films &&
    before.document.icons === after.document.icons &&
    before.laidOut.x === after.laidOut.x &&
    before.laidOut.y === after.laidOut.y &&
    before.laidOut.inlineSize === after.laidOut.inlineSize &&
    before.laidOut.blockSize === after.laidOut.blockSize,
);
