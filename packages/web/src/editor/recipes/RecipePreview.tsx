import {
  addFromRecipe,
  change,
  emptyDocument,
  layoutCollection,
  mediaOf,
  withPart,
  type Assets,
  type CollectionDocument,
  type PictureAsset,
  type Recipe,
} from '@noria/core';
import { memo, useMemo } from 'react';
import { useMeasurer } from '../engine/useMeasurer';
import { StagePage } from '../stage/StagePage';

interface RecipePreviewProps {
  readonly recipe: Recipe;
  readonly variant: string | null;
  readonly assets: Assets;
  /** The collection that it is shown for, so that it looks as it will there. */
  readonly around: Pick<CollectionDocument, 'look' | 'namedLooks'>;
  /** Shown where the recipe leaves a picture to its use. */
  readonly samples: readonly PictureAsset[];
  readonly width: number;
  readonly height: number;
}

/** A collection whose empty pictures show some. */
function withSamples(document: CollectionDocument, samples: readonly PictureAsset[]): CollectionDocument {
  if (samples.length === 0) return document;
  let next = 0;
  const tiles = Object.entries(document.tiles).map(([id, tile]) => {
    const sample = samples[next % samples.length]?.id ?? null;
    if (tile.kind !== 'card') return [id, tile];
    const part = tile.parts.find((each) =>
      'film' in each ? each.film === null : 'picture' in each && each.picture === null,
    );
    if (!part) return [id, tile];
    next++;
    return [id, withPart(tile, { ...part, ['film' in part ? 'poster' : 'picture']: sample })];
  });
  return {
    ...document,
    tiles: Object.fromEntries(tiles) as CollectionDocument['tiles'],
    pictures: { ...document.pictures, ...Object.fromEntries(samples.map((each) => [each.id, each])) },
  };
}

const NONE = {};
const CELL = 150;
const GAP = 14;

/** A recipe as it looks in a tile of its spans, scaled into a box. */
export const RecipePreview = memo(function RecipePreview({
  recipe,
  variant,
  assets,
  around: { look, namedLooks = NONE },
  samples,
  width,
  height,
}: RecipePreviewProps) {
  const measurer = useMeasurer();
  const { document, layout, natural } = useMemo(() => {
    let id = 0;
    const base: CollectionDocument = { ...emptyDocument('Recipe'), look, namedLooks, bands: [] };
    const root = recipe.tiles[recipe.root];
    const { columnSpan } = root?.place ?? { columnSpan: 1 };
    const side = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
    const inlineSize = columnSpan * 170 + (columnSpan - 1) * GAP;
    const made = change(
      {
        ...base,
        arrangement: {
          ...base.arrangement,
          columns: Array.from({ length: columnSpan }, () => '1fr'),
          // A picture between words takes the room that it needs; one that is all of the tile, what it gets.
          autoRows: root && mediaOf(root) ? `${CELL}px` : `minmax(${CELL}px, auto)`,
          columnGap: GAP,
          rowGap: GAP,
          padding: side,
        },
      },
      addFromRecipe({ recipe, variant, assets, position: 0, freshId: () => `part-${id++}` }),
    ).document;
    const shown = withSamples(made, samples);
    const layout = layoutCollection(shown, inlineSize, { measurer });
    return { document: shown, layout, natural: { inlineSize, blockSize: layout.blockSize } };
  }, [recipe, variant, assets, look, namedLooks, samples, measurer]);
  const scale = Math.min(1, width / natural.inlineSize, height / natural.blockSize);
  return (
    <span className="grid place-items-center overflow-hidden" style={{ width, height }} aria-hidden>
      <span
        className="block"
        style={{ width: natural.inlineSize * scale, height: natural.blockSize * scale }}
      >
        <StagePage
          document={document}
          layout={layout}
          width={natural.inlineSize}
          scale={scale}
          pictureSize={320}
        />
      </span>
    </span>
  );
});
