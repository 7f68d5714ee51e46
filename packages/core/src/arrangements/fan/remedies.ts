import { scaled } from '../shared/remedies.js';
import { fanOf } from './values.js';
import type { Arrangement, WrittenLength } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** Larger cards, and wider strips, for what is squashed or clipped; smaller cards for what looks soft. */
export function* fanRemedies(arrangement: Arrangement, { kind, figures }: Ailment): Generator<Remedy> {
  const { inlineSize, blockSize } = fanOf(arrangement);
  const sizes: readonly [name: string, of: 'inlineSize' | 'blockSize', now: WrittenLength][] = [
    ['wide', 'inlineSize', inlineSize],
    ['high', 'blockSize', blockSize],
  ];
  const need = Math.ceil(Number(figures.need));
  if (kind === 'clipped' && (typeof blockSize === 'string' || need > blockSize))
    yield { does: `Cards ${need} px high`, change: { values: { blockSize: need } } };
  for (const [name, of, now] of sizes)
    for (const px of scaled(now, kind))
      yield { does: `Cards ${px} px ${name}`, change: { values: { [of]: px } } };
}
