import { bandAt, bandsOf, type Band } from '../../document/bands.js';
import { levelOf, type Level } from '../../document/levels.js';
import { kindOf } from '../../arrangements/index.js';
import { LIMITS } from '../../document/limits.js';
import { bandCss, type BandCss } from './bandCss.js';
import type { CollectionDocument } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** A stretch of widths with one set of rules. */
export interface Piece {
  readonly band: Band;
  readonly css: BandCss;
}

/** Widths at which rules are looked at before they are cut where they change, px. */
const STEP = 8;
/** Beyond so many tiles rules are cut at steps alone, so that the file and the time stay bounded. */
const MOST_EXACT = 200;
const COARSE_STEP = 64;
const NARROWEST = 160;

/**
 * Every band from wide to narrow, cut where its rules change with the width. A kind whose rules hold
 * at every width is one piece.
 * @throws whatever the measurer throws
 */
export function piecesOf(document: CollectionDocument, measurer: TextMeasurer): Piece[] {
  return bandsOf(document).flatMap((band) => {
    const bands = changesWithWidth(document, band)
      ? cutBySight(document, band, measurer)
      : cutAsKnown(document, band);
    return bands.map((piece) => ({ band: piece, css: bandCss(document, piece, measurer) }));
  });
}

/** Whether what the band says can only be known by laying it out. */
function changesWithWidth(document: CollectionDocument, band: Band): boolean {
  const visit = (level: Level): boolean => {
    const view = levelOf(document, level);
    const { arrangement } = bandsOf(view)[band.index] as Band;
    return (
      kindOf(arrangement).changesWithWidth(arrangement, level) ||
      view.order.some((id) => view.tiles[id]?.kind === 'group' && visit(id))
    );
  };
  return visit(null);
}

/** Cuts a band where the rules at its whole widths change. */
function cutBySight(document: CollectionDocument, band: Band, measurer: TextMeasurer): Band[] {
  const isLarge = Object.keys(document.tiles).length > MOST_EXACT;
  const step = isLarge ? COARSE_STEP : STEP;
  const from = Math.max(Math.ceil(band.from), NARROWEST);
  const to = Math.max(from, Math.min(Math.ceil(band.below) - 1, LIMITS.widest));
  const said = (width: number) => JSON.stringify(bandCss(document, bandAt(document, width), measurer).rules);
  const cuts: number[] = [];
  /** Finds every whole width between two, from which the rules are others. */
  const between = (low: number, a: string, high: number, b: string): void => {
    if (a === b) return;
    if (high - low <= 1 || isLarge) {
      cuts.push(high);
      return;
    }
    const middle = (low + high) >> 1;
    const here = said(middle);
    between(low, a, middle, here);
    between(middle, here, high, b);
  };
  let low = from;
  let before = said(from);
  while (low < to) {
    const high = Math.min(to, low + step);
    const here = said(high);
    between(low, before, high, here);
    [low, before] = [high, here];
  }
  const edges = [band.below, ...cuts.toReversed(), band.from];
  return edges.slice(1).map((edge, k) => {
    const at = Math.max(edge, from);
    return { ...bandAt(document, at), from: edge, below: edges[k] as number, at };
  });
}

/** A band cut where its kind knows that its rules change; each piece is as it is at its narrowest width. */
function cutAsKnown(document: CollectionDocument, band: Band): Band[] {
  const cuts = kindOf(band.arrangement).cuts?.(document, band);
  if (!cuts) return [band];
  const edges = [band.below, ...cuts.toReversed(), band.from];
  return edges.slice(1).map((edge, k) => ({ ...band, from: edge, below: edges[k] as number, at: edge }));
}
