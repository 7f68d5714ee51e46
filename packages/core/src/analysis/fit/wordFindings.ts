import { inheritedArrangement } from '../../document/bands.js';
import { kindOf } from '../../arrangements/index.js';
import { SLACK } from '../../geometry/slack.js';
import { levelOf } from '../../document/levels.js';
import { canClip, blockNeedOf, needOf } from './needs.js';
import { rangesWhere, type Judgement } from './ranges.js';
import type { Checked, Found } from './checked.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { Tile } from '../../document/types.js';

/** A size of a tile over a stretch, at a share of it from 0 to 1. */
const between = (from: number, to: number) => (share: number) => from + (to - from) * share;

/** A tile over a stretch of widths. */
interface Place {
  readonly tile: Tile;
  /** At the narrowest of them. */
  readonly at: LaidOutTile;
  readonly level: string | null;
  /** Its sizes at one of them, px. */
  readonly inlineAt: (width: number) => number;
  readonly blockAt: (width: number) => number;
  /** The pages that are asked for between two of them: type that grows only grows, or only shrinks, between two. */
  readonly pages: (low: number, high: number) => readonly number[];
}

/** The tiles of a stretch, with their sizes at each width of it. */
export function placesOf(checked: Checked): Place[] {
  const { stretch, looks, isFluid } = checked;
  const { from, to, first, last } = stretch;
  const levels = levelsOf(checked);
  const over = (least: number, most: number) => {
    const at = between(least, most);
    return (width: number) => at(to === from ? 0 : (width - from) / (to - from));
  };
  return first.tiles.map((at, k) => {
    const end = last.tiles[k] as LaidOutTile;
    return {
      tile: looks.tiles[at.id] as Tile,
      at,
      level: levels.get(at.id) ?? null,
      inlineAt: over(at.inlineSize, end.inlineSize),
      blockAt: over(at.blockSize, end.blockSize),
      pages: (low, high) => (isFluid ? [low, high] : [low]),
    };
  });
}

/** Tiles that are narrower than what is legible, and words that are higher than their tile. */
export function* wordFindings(checked: Checked): Generator<Found> {
  const { looks, measurer, stretch } = checked;
  const { from, to, first } = stretch;
  const followsWords = (level: string | null) => {
    const arrangement = arrangementAt(checked, level);
    return kindOf(arrangement).followsWords?.(arrangement) ?? false;
  };
  for (const { tile, at: a, level, inlineAt, blockAt, pages } of placesOf(checked)) {
    const needs = (low: number, high: number) =>
      pages(low, high).map((page) => needOf(looks, tile, measurer, page).inlineSize);
    const squashed = rangesWhere(from, to, (low, high): Judgement => {
      const sizes = [inlineAt(low), inlineAt(high)];
      const needed = needs(low, high);
      if (Math.min(...sizes) + SLACK >= Math.max(...needed)) return 'none';
      if (Math.max(...sizes) + SLACK < Math.min(...needed)) return 'all';
      return low === high ? 'all' : 'some';
    });
    if (squashed.length > 0) {
      const worst = worstOf(squashed, (width) => {
        const need = needOf(looks, tile, measurer, width).inlineSize;
        return need - inlineAt(width);
      });
      const need = needOf(looks, tile, measurer, worst);
      const size = inlineAt(worst);
      yield {
        kind: 'squashed',
        level,
        tiles: [a.id],
        ranges: squashed,
        badness: need.inlineSize - size,
        worst,
        said: {
          need: need.inlineSize,
          has: size,
          by: need.by,
          columns: a.columnSpan,
          of: first.layout.columns.length,
        },
      };
    }

    if (!canClip(tile)) continue;
    const clipped = rangesWhere(from, to, (low, high): Judgement => {
      const inline = [inlineAt(low), inlineAt(high)];
      const block = [blockAt(low), blockAt(high)];
      const needed = (size: number) =>
        pages(low, high).map((page) => blockNeedOf(looks, tile, measurer, page, size).words);
      // Words need most height where they are narrowest.
      if (Math.max(...needed(Math.min(...inline))) <= Math.min(...block) + SLACK) return 'none';
      if (low === high) return 'all';
      if (Math.min(...needed(Math.max(...inline))) > Math.max(...block) + SLACK) return 'all';
      return 'some';
    });
    // In masonry a tile is as high as its words: between two widths they may break anew.
    if (clipped.length === 0 || followsWords(level)) continue;
    const excess = (width: number) =>
      blockNeedOf(looks, tile, measurer, width, inlineAt(width)).words - blockAt(width);
    const worst = worstOf(clipped, excess);
    yield {
      kind: 'clipped',
      level,
      tiles: [a.id],
      ranges: clipped,
      badness: excess(worst),
      worst,
      said: {
        need: excess(worst) + blockAt(worst),
        has: blockAt(worst),
        inline: inlineAt(worst),
        columns: a.columnSpan,
        rows: a.rowSpan,
      },
    };
  }
}

/** The end of a range at which something is worst. */
export function worstOf(
  ranges: readonly { from: number; to: number }[],
  badness: (width: number) => number,
): number {
  let best = ranges[0]?.from ?? 0;
  let most = -Infinity;
  for (const width of ranges.flatMap(({ from, to }) => [from, to])) {
    const value = badness(width);
    if (value > most) [best, most] = [width, value];
  }
  return best;
}

/** The arrangement of a level in the band of a stretch. */
export const arrangementAt = ({ document, stretch }: Checked, level: string | null) =>
  inheritedArrangement(levelOf(document, level), stretch.band.index);

/** The group that each tile of a stretch lies in. */
export function levelsOf({ stretch }: Checked): ReadonlyMap<string, string | null> {
  const levels = new Map<string, string | null>();
  for (const { level, layout } of stretch.first.levels) {
    for (const { id } of layout.tiles) levels.set(id, level);
  }
  return levels;
}

/** The tile that is narrowest beside what it needs, at a share of the stretch. */
export function narrowestIn({ stretch, looks, measurer }: Checked) {
  const { first, last, from, to } = stretch;
  const needing = first.tiles.flatMap((a, k) => {
    const b = last.tiles[k] as LaidOutTile;
    const tile = looks.tiles[a.id] as Tile;
    const need = needOf(looks, tile, measurer, from).inlineSize;
    if (need <= 0) return [];
    const later = needOf(looks, tile, measurer, to).inlineSize;
    return [{ sizeAt: between(a.inlineSize, b.inlineSize), needAt: between(need, later) }];
  });
  const narrowest = { inlineSize: 0, need: 0 };
  return (share: number): { readonly inlineSize: number; readonly need: number } => {
    let inlineSize = 0;
    let need = 0;
    let least = Infinity;
    for (const each of needing) {
      const size = each.sizeAt(share);
      const needed = each.needAt(share);
      if (size / needed < least) {
        least = size / needed;
        inlineSize = size;
        need = needed;
      }
    }
    narrowest.inlineSize = inlineSize;
    narrowest.need = need;
    return narrowest;
  };
}
