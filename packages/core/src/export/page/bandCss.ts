import { kindOf } from '../../arrangements/index.js';
import { resolvedBand } from '../../arrangements/bands.js';
import { isSquareGroup } from '../../arrangements/questions.js';
import { bandsOf, type Band } from '../../document/bands.js';
import { levelOf, type Level } from '../../document/levels.js';
import { levelLayout, layoutCollection } from '../../layout/layout.js';
import { tileSelector, type Declarations } from '../../engine/css/rule.js';
import type { Layout, BandRule } from '../../arrangements/kind.js';
import type { CollectionDocument, TrackSize } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

export const COLLECTION = '.collection';

/** What a page says of one band. */
export interface BandCss {
  /** By selector; inherited to narrower bands that do not say otherwise. */
  readonly rules: Readonly<Record<string, Declarations>>;
  /** What holds in this band alone. */
  readonly inBand: readonly BandRule[];
}

/**
 * What the arrangements of a band say in CSS, those in groups too, as they are at the band's width.
 * @throws whatever the measurer throws
 */
export function bandCss(document: CollectionDocument, band: Band, measurer: TextMeasurer): BandCss {
  const rules: Record<string, Declarations> = {};
  const inBand: BandRule[] = [];
  let whole: Layout | null = null;
  const layoutOf = (level: Level) => () => {
    whole ??= layoutCollection(document, band.at, { measurer });
    return levelLayout(whole, level)?.layout ?? NO_LAYOUT;
  };
  const visit = (level: Level, selector: string): void => {
    const view = levelOf(document, level);
    const here = level === null ? band : { ...(bandsOf(view)[band.index] as Band), at: band.at };
    const css = kindOf(here.arrangement).css({
      document: view,
      band: here,
      columns: columnsOf(view, here, level, layoutOf(level)),
      isSquareGroup: (tile) => isSquareGroup(view, tile, band.index),
      layout: layoutOf(level),
      level,
      selector,
    });
    // A group's place says more than its grid of how large it is.
    rules[selector] = { ...css.grid, ...rules[selector] };
    if (css.before) rules[`${selector}::before`] = css.before;
    for (const [id, declarations] of Object.entries(css.tiles)) rules[tileSelector(id)] = declarations;
    inBand.push(...(css.inBand ?? []));
    for (const id of view.order) if (view.tiles[id]?.kind === 'group') visit(id, tileSelector(id));
  };
  visit(null, COLLECTION);
  return { rules, inBand };
}

/** The columns that a level has at the page's width: those of a group are known by laying it out. */
function columnsOf(
  view: CollectionDocument,
  band: Band,
  level: Level,
  layout: () => Layout,
): readonly TrackSize[] {
  const follows = level !== null && kindOf(band.arrangement).columnCount(band.arrangement) !== null;
  return follows ? layout().columns.map(() => '1fr') : resolvedBand(view, band).columns;
}

/** A group that is hidden has no layout. */
const NO_LAYOUT: Layout = {
  inlineSize: 0,
  blockSize: 0,
  columns: [{ start: 0, size: 0 }],
  rows: [],
  tiles: [],
  coverage: { cells: 0, covered: 0, overlapping: 0, holes: [] },
  groups: {},
};
