import { fields, number } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import { countChecks } from '../shared/countChecks.js';
import type { Arrangement, MosaicModules, WrittenLength } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_MOSAIC: MosaicModules<number> = {
  count: null,
  min: 96,
  max: 12,
  shareOfLarge: 0.3,
  maxCrop: 0.35,
  seed: 1,
};

export const mosaicOf = <L extends WrittenLength>({
  mosaic,
}: Pick<Arrangement<L>, 'mosaic'>): MosaicModules<L | number> => mosaic ?? ANY_MOSAIC;

export const mosaicValues: ValuesOfKind<'mosaic'> = {
  field: 'mosaic',
  read: mosaicOf,
  check: fields(
    {
      ...countChecks('modules'),
      shareOfLarge: number(0, 1, 'The large share'),
      maxCrop: number(0, 1, 'The crop'),
      seed: number(0, LIMITS.seed, 'A seed', true),
    },
    'A mosaic',
  ),
};
