import { LIMITS } from '../../document/limits.js';
import { otherCounts } from '../shared/remedies.js';
import { mosaicOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** How many other seeds are tried. */
const SEEDS = 3;
const MODULE = { one: 'module', many: 'modules', title: 'Modules' };

/** Less crop, another number of modules, another seed. */
export function* mosaicRemedies(
  arrangement: Arrangement,
  { kind, tiles, figures }: Ailment,
): Generator<Remedy> {
  const mosaic = mosaicOf(arrangement);
  if (kind === 'over-cropped' || kind === 'focus lost') {
    for (const maxCrop of [0.35, 0.25, 0.15])
      if (maxCrop < mosaic.maxCrop)
        yield { does: `Crop ${Math.round(maxCrop * 100)} % at most`, change: { values: { maxCrop } } };
  }
  const span = Math.max(1, Number(figures.columns ?? 1));
  for (const [does, values] of otherCounts(mosaic, kind, Number(figures.need) / span, MODULE))
    yield { does, change: { values } };
  if (kind === 'lock lost') yield { does: 'Unlock it', isTaste: true, change: { unlock: tiles[0] ?? '' } };
  if (kind === 'hole' || kind === 'overlap' || kind === 'overflow') return;
  for (let more = 1; more <= SEEDS; more++) {
    const seed = (mosaic.seed + more) % LIMITS.seed;
    yield { does: `Another mosaic, seed ${seed}`, isTaste: true, change: { values: { seed } } };
  }
}
