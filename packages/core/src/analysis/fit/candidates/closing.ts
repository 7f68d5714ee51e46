import { resolvedBands, type ResolvedBand } from '../../../arrangements/bands.js';
import { holdsCells } from '../../../arrangements/questions.js';
import { LIMITS } from '../../../document/limits.js';
import { levelOf } from '../../../document/levels.js';
import { onLevel } from '../../../edit/commands/level.js';
import { levelLayout, layoutCollection } from '../../../layout/layout.js';
import { bandBearing } from '../../bearing.js';
import { closeGaps, gapCommand } from '../../packing/closeGaps.js';
import type { CollectionDocument, Tile } from '../../../document/types.js';
import type { Command } from '../../../edit/patch/change.js';
import type { CheckOptions } from '../checkFit.js';
import type { Finding } from '../types.js';

/** Closing the gaps of a level in a band, within what its tiles bear. */
export function closingOf(
  document: CollectionDocument,
  { level, worst }: Finding,
  index: number,
  { measurer }: CheckOptions,
): Command | null {
  const view = levelOf(document, level);
  const band = resolvedBands(view)[index] as ResolvedBand;
  if (!holdsCells(band.arrangement.kind)) return null;
  const pages = [Math.max(LIMITS.narrowest, band.from), Math.min(LIMITS.widest, band.below - 1)];
  const sizes = pages.map(
    (page) => levelLayout(layoutCollection(document, page, { measurer }), level)?.layout.inlineSize ?? worst,
  );
  const bearing = bandBearing(
    view,
    band,
    band.columns.length,
    {
      low: Math.min(...sizes),
      high: Math.max(...sizes),
      lowPage: pages[0] ?? worst,
      highPage: pages[1] ?? worst,
    },
    measurer,
  );
  const allows = (id: string, span: { columns: number; rows: number }) =>
    bearing.allows(document.tiles[id] as Tile, span);
  const { outcome, changes } = closeGaps(view, index, { distance: 0, mostSpans: 3, allows });
  if (outcome === 'whole') return onLevel(level, gapCommand(changes, index));
  const further = closeGaps(view, index, { distance: 3, mostSpans: 4, allows });
  return further.outcome === 'whole' ? onLevel(level, gapCommand(further.changes, index)) : null;
}
