import { bandsOf, type Band } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { levelOf } from '../document/levels.js';
import { arrangementKinds } from '../arrangementKinds.js';
import type { LayoutOptions, LevelBox } from '../arrangement.js';
import type { CollectionDocument, TileId } from '../document/types.js';

/** A level of any kind as a box, with the levels inside its groups. */
export function levelBox(document: CollectionDocument, band: Band, options: LayoutOptions): LevelBox {
  return arrangementKinds[band.arrangement.kind].box({ document, band, options, group: groupBox });

  function groupBox(id: TileId): LevelBox {
    const level = levelOf(document, id);
    const own = bandsOf(level)[band.index] as Band;
    const inner = levelBox(level, { ...own, at: options.pageInlineSize }, options);
    const width = documentIn(document, band.index).tiles[id]?.look.border?.width ?? 0;
    // Browsers draw borders in whole px, never less than one.
    const drawn = width > 0 ? Math.max(1, Math.floor(width)) : 0;
    const style = { ...inner.box.style, border: [drawn, drawn, drawn, drawn] as const };
    return { ...inner, box: { ...inner.box, id, style } };
  }
}
