import { indented, ruleCss } from '../../engine/css/rule.js';
import type { BandRule } from '../../arrangements/kind.js';
import type { Piece } from './pieces.js';

/** A stretch of widths, and rules that hold in it alone. */
interface Run {
  readonly from: number;
  readonly below: number;
  readonly rules: readonly BandRule[];
}

/** A rule in neighbouring pieces. */
interface Held {
  readonly rule: BandRule;
  readonly key: string;
  /** The first and the last of the pieces, from wide to narrow. */
  readonly first: number;
  last: number;
}

/**
 * What holds in some widths alone, each in a query of them: what neighbouring bands say alike is said
 * once for both.
 */
export function inBandParts(pieces: readonly Piece[], at: string): string[] {
  const held = ruleRuns(pieces);
  const runs = keepsOrder(pieces, held) ? byRange(pieces, held) : wholeRuns(pieces);
  return runs
    .filter(({ rules }) => rules.length > 0)
    .map(({ rules, ...range }) => inRange(at, range, textOf(rules)));
}

/** Every rule with the pieces it is in, those that hold longest first. */
function ruleRuns(pieces: readonly Piece[]): Held[] {
  const all: Held[] = [];
  const latest = new Map<string, Held>();
  pieces.forEach(({ css }, k) => {
    for (const rule of css.inBand) {
      const key = JSON.stringify(rule);
      const known = latest.get(key);
      if (known && known.last >= k - 1) known.last = k;
      else {
        const held = { rule, key, first: k, last: k };
        all.push(held);
        latest.set(key, held);
      }
    }
  });
  return all.sort((a, b) => b.last - b.first - (a.last - a.first) || a.first - b.first);
}

/** Whether rules that say something of one property stay in their order, in every piece. */
function keepsOrder(pieces: readonly Piece[], held: readonly Held[]): boolean {
  const places = pieces.map(() => new Map<string, number>());
  held.forEach(({ key, first, last }, place) => {
    for (let k = first; k <= last; k++) places[k]?.set(key, place);
  });
  return pieces.every(({ css }, k) => {
    const latest = new Map<string, number>();
    return css.inBand.every((rule) => {
      const own = places[k]?.get(JSON.stringify(rule)) ?? 0;
      const properties = Object.keys(rule.declarations);
      const isAfter = properties.every((property) => (latest.get(property) ?? -1) <= own);
      for (const property of properties) latest.set(property, own);
      return isAfter;
    });
  });
}

function byRange(pieces: readonly Piece[], held: readonly Held[]): Run[] {
  const runs = new Map<string, Run & { readonly rules: BandRule[] }>();
  for (const { rule, first, last } of held) {
    const { below = Infinity } = pieces[first]?.band ?? {};
    const { from = 0 } = pieces[last]?.band ?? {};
    const run = runs.get(`${first} ${last}`);
    if (run) run.rules.push(rule);
    else runs.set(`${first} ${last}`, { from, below, rules: [rule] });
  }
  return [...runs.values()];
}

/** Neighbouring pieces that say all the same are one. */
function wholeRuns(pieces: readonly Piece[]): Run[] {
  const runs: (Run & { from: number })[] = [];
  for (const { band, css } of pieces) {
    const last = runs.at(-1);
    if (last && textOf(last.rules) === textOf(css.inBand)) last.from = band.from;
    else runs.push({ from: band.from, below: band.below, rules: css.inBand });
  }
  return runs;
}

/** Rules in the conditions that they ask for; neighbours with the same ones share them. */
function textOf(rules: readonly BandRule[]): string {
  const blocks: { condition: string; rules: string[] }[] = [];
  for (const rule of rules) {
    const condition = rule.supports ? `@supports ${rule.supports}` : rule.media ? `@media ${rule.media}` : '';
    const last = blocks.at(-1);
    if (last?.condition === condition) last.rules.push(ruleCss(rule));
    else blocks.push({ condition, rules: [ruleCss(rule)] });
  }
  return blocks
    .map(({ condition, rules: texts }) =>
      condition ? `${condition} {\n${indented(texts.join('\n'))}\n}` : texts.join('\n'),
    )
    .join('\n');
}

/** Rules in a query of the widths in which they hold; without one where that is all of them. */
export function inRange(
  at: string,
  { from, below }: Pick<Piece['band'], 'from' | 'below'>,
  text: string,
): string {
  const range = [
    ...(from > 0 ? [`(width >= ${from}px)`] : []),
    ...(Number.isFinite(below) ? [`(width < ${below}px)`] : []),
  ];
  return range.length > 0 ? `${at} ${range.join(' and ')} {\n${indented(text)}\n}` : text;
}
