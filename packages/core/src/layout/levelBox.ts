import { bandsOf, type Band } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { levelOf } from '../document/levels.js';
import { kindOf } from '../arrangements/index.js';
import { isSquareGroup } from '../arrangements/questions.js';
import { tileBox } from '../parts/tileBox.js';
import type { LayoutOptions } from './options.js';
import type { LevelBox } from '../arrangements/kind.js';
import { borderSides } from '../look/paints.js';
import type { CollectionDocument, TileId } from '../document/types.js';

/** A level of any kind as a box, with the levels inside its groups. */
export function levelBox(document: CollectionDocument, band: Band, options: LayoutOptions): LevelBox {
  const { measurer, pageInlineSize, screenBlockSize } = options;
  const looks = documentIn(document, band.index);
  return kindOf(band.arrangement).box({
    document,
    band,
    screenBlockSize,
    group: groupBox,
    content: (tile) => tileBox(looks, tile, measurer, pageInlineSize),
    isSquareGroup: (tile) => isSquareGroup(document, tile, band.index),
  });

  function groupBox(id: TileId): LevelBox {
    const level = levelOf(document, id);
    const own = bandsOf(level)[band.index] as Band;
    const inner = levelBox(level, { ...own, at: pageInlineSize }, options);
    const { blockStart, inlineEnd, blockEnd, inlineStart } = borderSides(looks.tiles[id]?.look.border);
    // Browsers draw borders in whole px, never less than one.
    const drawn = (width: number) => (width > 0 ? Math.max(1, Math.floor(width)) : 0);
    const border = [drawn(blockStart), drawn(inlineEnd), drawn(blockEnd), drawn(inlineStart)] as const;
    const style = { ...inner.box.style, border };
    return { ...inner, box: { ...inner.box, id, style } };
  }
}
