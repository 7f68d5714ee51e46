import {
  bandAt,
  inheritedArrangement,
  measured,
  contentCss,
  looksGrow,
  neededBy,
  levelOf,
  cornersOf,
  namedRule,
  tileCss,
  type CollectionDocument,
  type Known,
  type LaidOutTile,
  type Layout,
  type Level,
  type PictureImage,
  type Sources,
  type TileId,
} from '@noria/core';
import { filmAddress } from '../../api/films';
import { addressFor } from '../../api/pictures';
import { kindData } from '../kinds/data';
import { isSeen, type Seen } from './seen';
import type { Edge } from './edge';

type Drawn = Pick<CollectionDocument, 'look' | 'tiles'> & Pick<Known, 'pictures' | 'namedLooks' | 'lower'>;

/**
 * The style sheet of a collection drawn from its layout: the page's own rules, in a shadow root.
 * @param first the tiles that have rules are those from here
 * @param last to before here, in the collection's own order
 */
export function drawingCss(drawn: Drawn, first = 0, last = Infinity): string {
  const { look, tiles, namedLooks } = drawn;
  const own = [
    namedRule(':host', { namedLooks }),
    contentCss({ look }, neededBy(Object.values(tiles))),
    ...Object.values(tiles)
      .slice(first, last)
      .map((tile) => tileCss(drawn, tile, stageImage)),
  ].join('\n');
  const grows = looksGrow({ look, tiles, namedLooks });
  // A container costs every frame something, so it is one only where something grows with the page.
  return `${STAGE_CSS}${grows ? ':host { container-type: inline-size; }' : ''}${own}`;
}

/** Pictures behind words are as wide as the stage can be. */
const stageImage: PictureImage = (picture) => `url("${addressFor(picture, 1280)}")`;

const madeSources = new Map<number, Sources>();

/** Where pictures and films are fetched for a drawing whose pictures are no wider than so many px. */
export function sourcesFor(pictureSize: number): Sources {
  let sources = madeSources.get(pictureSize);
  if (!sources) {
    sources = {
      picture: (picture) => ({ src: addressFor(picture, pictureSize) }),
      small: (picture, inlineSize) => addressFor(picture, inlineSize * 2),
      film: filmAddress,
      marksWords: true,
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

/** A tile where it is drawn, and what of it is seen. */
export interface Clipped {
  readonly laidOut: LaidOutTile;
  readonly clip: string | null;
}

/** Every tile with the edge that it does not reach over: its group’s rounded one, or that of its fan. */
export function clippedTiles(
  document: CollectionDocument,
  layout: Layout,
  page: number,
  seen: Seen | null,
): Clipped[] {
  const band = bandAt(document, page).index;
  const { look, namedLooks, tiles } = document;
  const cornersAt = (id: TileId) => cornersOf(namedLooks, tiles[id]?.look.radius ?? look.radius, page);
  const inside = (
    { tiles: laid, groups, ...size }: Layout,
    level: Level,
    x: number,
    y: number,
    around: Edge | null,
  ): Clipped[] => {
    const arrangement = measured(inheritedArrangement(levelOf(document, level), band), page);
    const own = kindData(arrangement.kind).edge?.({
      arrangement,
      level,
      layout: size,
      tiles: laid,
      x,
      y,
      radiusOf: ({ id }) => Math.max(...cornersAt(id)),
    });
    const edge = own ?? around;
    return laid.flatMap((tile) => {
      if (!isSeen(seen, tile.y + y, tile.blockSize)) return [];
      const at = { ...tile, x: tile.x + x, y: tile.y + y };
      const inner = groups[tile.id];
      const drawn: Clipped = { laidOut: at, clip: edge && clipCss(at, edge) };
      if (!inner) return [drawn];
      return [
        drawn,
        ...inside(inner, tile.id, at.x, at.y, {
          ...at,
          round: cornersAt(tile.id)
            .map((corner) => `${corner}px`)
            .join(' '),
        }),
      ];
    });
  };
  return inside(layout, null, 0, 0, null);
}

function clipCss(tile: LaidOutTile, edge: Edge): string {
  const insets = [
    edge.y - tile.y,
    tile.x + tile.inlineSize - edge.x - edge.inlineSize,
    tile.y + tile.blockSize - edge.y - edge.blockSize,
    edge.x - tile.x,
  ];
  return `inset(${insets.map((px) => `${Number(px.toFixed(2))}px`).join(' ')} round ${edge.round})`;
}
