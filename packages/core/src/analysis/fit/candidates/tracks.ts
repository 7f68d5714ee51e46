import { plainTrackSize } from '../../../engine/css/trackSize.js';
import { setArrangement } from '../../../edit/commands/arrangement.js';
import { setFit } from '../../../edit/commands/place.js';
import { tame, type Candidate } from '../candidate.js';
import type { Case } from './case.js';

/** Common rows that grow with words, or have another height. */
export function* otherRows({ finding: { kind }, here, index, at }: Case): Generator<Candidate> {
  const { autoRows } = here.arrangement;
  const row = plainTrackSize(autoRows);
  if (row?.unit !== 'px') return;
  if (kind === 'clipped')
    yield tame(
      'Let rows grow with words',
      at(setArrangement({ autoRows: `minmax(${autoRows}, auto)` }, index, 'band')),
    );
  if (kind !== 'over-cropped' && kind !== 'clipped') return;
  for (const factor of kind === 'clipped' ? [1.15, 1.35] : [1.15, 0.87, 1.35, 0.74]) {
    const px = Math.round(row.value * factor);
    yield tame(`Rows of ${px} px`, at(setArrangement({ autoRows: `${px}px` }, index, 'band')));
  }
}

/** What looks too large stays small on wide pages. */
export function* neverWider({ finding: { kind }, index, first, last }: Case): Generator<Candidate> {
  if ((kind !== 'over-cropped' && kind !== 'soft') || index > 0) return;
  if (!last || !first || first.from <= 1000) return;
  const maxInlineSize = first.from - 1;
  yield tame(`Never wider than ${maxInlineSize} px`, setArrangement({ maxInlineSize }, 0, 'all'));
}

/** Tracks and tiles that stay inside of their grid. */
export function* inside({ finding: { kind }, here, id, index, at }: Case): Generator<Candidate> {
  if (kind !== 'overflow') return;
  const { columns: written, height } = here.arrangement;
  const columns = written.map(() => '1fr');
  yield tame('Even columns', at(setArrangement({ columns }, index, 'band')));
  yield tame(
    'Fill its cells',
    at(
      setFit([id], { inline: 'stretch', block: 'stretch', inlineSize: null, blockSize: null }, index, 'band'),
    ),
  );
  if (height?.kind === 'fixed')
    yield tame('Height by content', at(setArrangement({ height: { kind: 'content' } }, index, 'band')));
}
