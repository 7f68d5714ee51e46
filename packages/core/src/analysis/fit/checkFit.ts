import { bandsOf } from '../../document/bands.js';
import { lookedAt } from '../../arrangements/lookedAt.js';
import { LIMITS } from '../../document/limits.js';
import { looksGrow } from '../../look/named.js';
import { packed } from '../../geometry/coverage.js';
import {
  ANY_BAND,
  FINDING_KINDS,
  SEVERITY,
  type Finding,
  type FindingKind,
  type FitReport,
  type Severity,
  type WidthCurves,
  type WidthRange,
} from './types.js';
import { addRange, widthsIn } from './ranges.js';
import { levelFindings } from './levelFindings.js';
import type { Details } from '../../look/detail.js';
import { stretchesOf } from './stretches.js';
import { wordFindings, narrowestIn } from './wordFindings.js';
import { croppedFindings } from './croppedFindings.js';
import { pictureFindings } from './pictureFindings.js';
import { alwaysFindings } from './alwaysFindings.js';
import { say } from './words.js';
import type { Checked, Found } from './checked.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

export interface CheckOptions {
  readonly measurer: TextMeasurer;
  /** Every px of pictures that words may stand on, by their hashes; left out: a few px of each are known. */
  readonly details?: Details | undefined;
  /** Whole px; left out: 240 and 2560. */
  readonly from?: number;
  readonly to?: number;
  /** Screen px to a CSS px, for the sharpness of pictures; left out: 1. */
  readonly density?: number;
  /** Height of the screen that grids' heights may be a share of, px; left out: 800. */
  readonly screenBlockSize?: number;
}

/**
 * The fit check: lays a collection out over every whole px of a range of widths and says what is
 * wrong, where and why. Between the ends of a stretch every edge is a straight line of the width, so
 * sizes at each px between are exact without a layout of their own; heights of words are cut in two
 * until each px is judged.
 * @throws RangeError when the widths are no range
 * @throws whatever the measurer throws
 * @example checkFit(document, { measurer }).findings // [] when it is sound at every width
 */
export function checkFit(
  document: CollectionDocument,
  {
    measurer,
    details,
    from = LIMITS.narrowest,
    to = LIMITS.widest,
    density = 1,
    screenBlockSize,
  }: CheckOptions,
): FitReport {
  if (!Number.isInteger(from) || !Number.isInteger(to) || from < 1 || to < from || to > 20_000) {
    throw new RangeError(`Widths go from a whole number of px to a larger one; here from ${from} to ${to}.`);
  }
  const gathered = new Map<string, Gathered>();
  const curves = emptyCurves(to - from + 1);
  const isFluid = looksGrow(document);
  const ids = ['', ...document.bands.map(({ id }) => id)];
  const byBand = new Map(bandsOf(document).map((band) => [band.index, lookedAt(document, band.index)]));
  for (const stretch of stretchesOf(document, from, to, measurer, screenBlockSize)) {
    const looks = byBand.get(stretch.band.index) ?? document;
    const checked: Checked = { document, looks, stretch, measurer, details, density, isFluid };
    for (const check of CHECKS)
      for (const found of check(checked)) gather(gathered, found, stretch.band.index, ids);
    draw(curves, checked, from);
  }
  const order = (kind: FindingKind) => FINDING_KINDS.indexOf(kind);
  const findings = [...gathered.values()]
    .map((each) => finished(document, each))
    .sort(
      (a, b) =>
        order(a.kind) - order(b.kind) ||
        (a.ranges[0]?.from ?? 0) - (b.ranges[0]?.from ?? 0) ||
        a.id.localeCompare(b.id),
    );
  return { from, to, findings, curves };
}

const CHECKS: readonly ((checked: Checked) => Iterable<Found>)[] = [
  levelFindings,
  wordFindings,
  pictureFindings,
  croppedFindings,
  alwaysFindings,
];

interface Gathered {
  readonly id: string;
  readonly band: number;
  readonly first: Found;
  ranges: WidthRange[];
  worst: Found;
}

function gather(all: Map<string, Gathered>, found: Found, index: number, ids: readonly string[]): void {
  if (found.ranges.length === 0) return;
  const band = ANY_BAND.includes(found.kind) ? 0 : index;
  const id = [found.kind, ids[band] ?? '', found.level ?? '', ...found.tiles].join('/');
  const before = all.get(id);
  if (!before) {
    all.set(id, { id, band, first: found, ranges: [...found.ranges], worst: found });
    return;
  }
  for (const { from, to } of found.ranges) addRange(before.ranges, from, to);
  if (found.badness > before.worst.badness) before.worst = found;
}

function finished(document: CollectionDocument, { id, band, first, ranges, worst }: Gathered): Finding {
  const { kind, tiles, level } = first;
  return {
    id,
    kind,
    severity: SEVERITY[kind],
    tiles,
    level,
    band,
    ranges,
    ...say(document, kind, tiles, worst.said),
    worst: worst.worst,
    figures: worst.said,
    ignored: isIgnored(document, kind, tiles),
  };
}

/** Whether a finding was looked at and is as it should be. */
const isIgnored = (
  { ignored = [] }: CollectionDocument,
  kind: FindingKind,
  tiles: readonly TileId[],
): boolean => ignored.some((each) => each.kind === kind && each.tiles.join() === tiles.join());

function emptyCurves(length: number): { -readonly [K in keyof WidthCurves]: Float32Array } {
  const curve = () => new Float32Array(length);
  return {
    columns: curve(),
    narrowest: curve(),
    need: curve(),
    packed: curve(),
    blockSize: curve(),
    leastShown: curve().fill(1),
  };
}

function draw(curves: ReturnType<typeof emptyCurves>, checked: Checked, origin: number): void {
  const { stretch } = checked;
  const { from, to, first, last } = stretch;
  const share = packed(first.layout.coverage);
  const columns = first.layout.columns.length;
  const narrowest = narrowestIn(checked);
  for (let width = from; width <= to; width++) {
    const at = to === from ? 0 : (width - from) / (to - from);
    const k = width - origin;
    curves.columns[k] = columns;
    curves.packed[k] = share;
    curves.blockSize[k] = first.layout.blockSize + (last.layout.blockSize - first.layout.blockSize) * at;
    const { inlineSize, need } = narrowest(at);
    curves.narrowest[k] = inlineSize;
    curves.need[k] = need;
  }
  pictureFindings.draw(checked, curves.leastShown, origin);
}

/** The findings that were not ignored. */
export const openFindings = ({ findings }: Pick<FitReport, 'findings'>) =>
  findings.filter(({ ignored }) => !ignored);

/** At how many widths something is found that was not ignored. */
export function widthsAmiss(report: Pick<FitReport, 'findings'>): number {
  const all: WidthRange[] = [];
  const sorted = openFindings(report)
    .flatMap(({ ranges }) => ranges)
    .toSorted((a, b) => a.from - b.from);
  for (const { from, to } of sorted) addRange(all, from, to);
  return widthsIn(all);
}

const RANK: Readonly<Record<Severity, number>> = { breaks: 3, wrong: 2, better: 1 };

/** The worst that is found at each width, as runs of widths from narrow to wide. */
export function worstRuns(findings: readonly Finding[]): (WidthRange & { readonly severity: Severity })[] {
  const last = findings.reduce((most, { ranges }) => Math.max(most, ranges.at(-1)?.to ?? 0), 0);
  const ranks = new Uint8Array(last + 1);
  for (const { severity, ranges } of findings) {
    const rank = RANK[severity];
    for (const { from, to } of ranges)
      for (let width = from; width <= to; width++) if ((ranks[width] as number) < rank) ranks[width] = rank;
  }
  const runs: (WidthRange & { readonly severity: Severity })[] = [];
  let from = 0;
  for (let width = 1; width <= last + 1; width++) {
    if (ranks[width] === ranks[from]) continue;
    const severity = BY_RANK[ranks[from] ?? 0];
    if (severity) runs.push({ from, to: width - 1, severity });
    from = width;
  }
  return runs;
}

const BY_RANK: readonly (Severity | null)[] = [null, 'better', 'wrong', 'breaks'];
