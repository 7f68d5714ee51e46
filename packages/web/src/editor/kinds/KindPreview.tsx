import {
  colourOf,
  flatTiles,
  layoutCollection,
  pictureOf,
  type CollectionDocument,
  type Tile,
  isGradient,
} from '@noria/core';
import { memo, useMemo } from 'react';
import { useMeasurer } from '../engine/useMeasurer';

const VIEW = { inlineSize: 78, blockSize: 62 };

/** A level as it is laid out, very small: one mark for each tile, in its colour. */
export const KindPreview = memo(
  function KindPreview({ document, width }: { document: CollectionDocument; width: number }) {
    const measurer = useMeasurer();
    const layout = useMemo(
      () => layoutCollection(document, Math.max(1, width), { measurer }),
      [document, width, measurer],
    );
    const scale = VIEW.inlineSize / Math.max(1, layout.inlineSize);
    return (
      <svg
        viewBox={`0 0 ${VIEW.inlineSize} ${VIEW.blockSize}`}
        className="block w-full rounded-[2px]"
        style={{ background: colourOf(document.namedLooks, document.look.background) }}
        aria-hidden
      >
        {flatTiles(layout).flatMap((tile) =>
          // A group is seen by what is in it.
          (layout.groups[tile.id]?.tiles.length ?? 0) > 0
            ? []
            : [
                <rect
                  key={tile.id}
                  x={tile.x * scale}
                  y={tile.y * scale}
                  width={Math.max(0.5, tile.inlineSize * scale)}
                  height={Math.max(0.5, tile.blockSize * scale)}
                  rx={0.8}
                  fill={markColour(document, document.tiles[tile.id])}
                  stroke={colourOf(document.namedLooks, document.look.background)}
                  strokeWidth={0.4}
                />,
              ],
        )}
      </svg>
    );
  },
  (before, after) => before.width === after.width && before.document.tiles === after.document.tiles,
);

/** What has no colour of its own. */
const PLAIN = '#94a5a0';

function markColour({ pictures, namedLooks }: CollectionDocument, tile: Tile | undefined): string {
  if (!tile) return PLAIN;
  const asset = pictures[pictureOf(tile)?.picture ?? ''];
  const { fill } = tile.look;
  if (asset?.colours?.[0]) return asset.colours[0];
  if (fill === 'none') return PLAIN;
  if (typeof fill === 'string') return colourOf(namedLooks, fill);
  if (isGradient(fill)) return colourOf(namedLooks, fill.stops[0]?.colour ?? '#808080');
  return fill.kind === 'plain' ? colourOf(namedLooks, fill.colour) : 'var(--water-4)';
}
