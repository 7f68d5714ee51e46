import {
  addFromRecipe,
  change,
  emptyDocument,
  layoutCollection,
  type Assets,
  type CollectionDocument,
  type Recipe,
} from '@noria/core';
import { memo, useMemo } from 'react';
import { measurer } from '../../../measure/measurer';
import { StagePage } from '../stage/StagePage';

interface RecipePreviewProps {
  readonly recipe: Recipe;
  readonly variant: string | null;
  readonly assets: Assets;
  /** Of the collection that it is shown for, so that it looks as it will there. */
  readonly look: CollectionDocument['look'];
  readonly width: number;
  readonly height: number;
}

const CELL = 150;
const GAP = 14;

/** A recipe as it looks in a tile of its spans, scaled into a box. */
export const RecipePreview = memo(function RecipePreview({
  recipe,
  variant,
  assets,
  look,
  width,
  height,
}: RecipePreviewProps) {
  const { document, layout, natural } = useMemo(() => {
    let id = 0;
    const base: CollectionDocument = { ...emptyDocument('Recipe'), look, bands: [] };
    const { columnSpan, rowSpan } = recipe.parts[recipe.root]?.place ?? { columnSpan: 1, rowSpan: 1 };
    const side = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
    const inlineSize = columnSpan * 170 + (columnSpan - 1) * GAP;
    const made = change(
      {
        ...base,
        arrangement: {
          ...base.arrangement,
          columns: Array.from({ length: columnSpan }, () => '1fr'),
          autoRows: `${CELL}px`,
          columnGap: GAP,
          rowGap: GAP,
          padding: side,
        },
      },
      addFromRecipe({ recipe, variant, assets, position: 0, freshId: () => `part-${id++}` }),
    ).document;
    return {
      document: made,
      layout: layoutCollection(made, inlineSize, { measurer }),
      natural: { inlineSize, blockSize: rowSpan * CELL + (rowSpan - 1) * GAP },
    };
  }, [recipe, variant, assets, look]);
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
