import { isTag, type Element } from 'domhandler';
import { cascade, type Cascaded } from '../engine/html/cascade.js';
import { readPage, type SheetReader } from '../engine/html/readPage.js';
import { generate } from '../engine/css/tree.js';
import { withEntryIds } from '../check/entryIds.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { LIMITS } from '../document/limits.js';
import { SCREEN_BLOCK_SIZE } from '../document/screen.js';
import { breakpointsOf } from './breakpoints.js';
import { cropOf } from './look.js';
import { PagePictures, type PictureReader } from './pictures.js';
import { PageIcons } from './icons.js';
import { readLevel, type CardType, type ReadBand, type Reading } from './level.js';
import { readTogether } from './together.js';
import { typeLook, typeReader, type ReadType } from './type.js';
import { wordsOf } from './words.js';
import { bandWidths, cascadeAt, gridAt, gridsAt } from './grids.js';
import type { Say } from './arrangement.js';
import { readColour } from './paint.js';
import type { CollectionDocument, Measure, NarrowerBand, Tile, TileId } from '../document/types.js';
import type { Declaration } from '../engine/html/declaration.js';
import type { Report } from '../engine/html/report.js';
import type { SourcePage } from '../engine/html/sourcePage.js';

export interface ReadOptions {
  /** Finds a linked style sheet; left out: there are none. */
  readonly readSheet?: SheetReader;
  /** Finds a picture; left out: there are none. */
  readonly readPicture?: PictureReader;
  /** Which of its grids, as they are in `found`; several become groups, one below the other; left out: the outermost one. */
  readonly grid?: number | readonly number[];
  /** Height of the window that it is read in, px; left out: 800. */
  readonly screen?: number;
}

/** A grid that a page holds. */
export interface FoundGrid {
  /** What it begins with in the page, as `section.huts`. */
  readonly name: string;
  readonly line: number;
  /** Whether it lies in another one. */
  readonly isInner: boolean;
}

export interface ReadCollection {
  /** Null when the page holds no grid. */
  readonly document: CollectionDocument | null;
  /** All grids of the page, in its order. */
  readonly found: readonly FoundGrid[];
  /** Where in the page the tag of each tile begins, in characters. */
  readonly starts: Readonly<Record<TileId, number>>;
  /** Everything that was not taken over, or not as it was, by line. */
  readonly reports: readonly Report[];
}

/** What a page says that a document can say too, or that says nothing about a grid's layout. */
const TAKEN = new Set([
  'display', 'grid-template-columns', 'grid-template-rows', 'grid-template-areas', 'grid-auto-rows', 'grid-auto-flow',
  'column-gap', 'row-gap', 'grid-column-start', 'grid-column-end', 'grid-row-start', 'grid-row-end', 'max-width',
  'justify-content', 'align-content', 'justify-items', 'align-items', 'box-sizing', 'container-type', 'container-name',
  'background', 'background-color', 'background-image', 'color', 'border-radius', 'box-shadow', 'margin-left', 'margin-right', 'margin-top', 'margin-bottom',
  'margin-inline-start', 'margin-inline-end', 'object-position', 'object-fit', 'background-position', 'background-size',
  'background-repeat', 'font-family', 'font-size', 'font-weight', 'font-style', 'line-height', 'letter-spacing',
  'text-align', 'flex-direction',
  // As they stand while a custom property is in them.
  'gap', 'grid', 'grid-template', 'grid-area', 'grid-column', 'grid-row', 'padding', 'margin', 'border', 'font', 'flex-flow',
]); // prettier-ignore
/** What tiles are anyway. */
const AS_TILES_ARE: Readonly<Record<string, RegExp>> = {
  'min-width': /^0/,
  'min-height': /^0/,
  'overflow-x': /^(hidden|clip|visible)$/,
  'overflow-y': /^(hidden|clip|visible)$/,
  'overflow-wrap': /^(break-word|anywhere)$/,
  'text-decoration': /^none$/,
};

const isTaken = ({ property, value }: Declaration) =>
  AS_TILES_ARE[property]?.test(value.map((node) => generate(node)).join(' ')) === true ||
  TAKEN.has(property) ||
  /^(padding-|border-|--)/.test(property);

/**
 * Reads a page or a snippet of one into a collection: its outermost grid, the items of it as tiles,
 * its media and container queries as bands. What a document can't say is reported by line.
 *
 * @param name what the collection is called when the page has no title
 */
export function readCollection(
  html: string,
  name: string,
  { readSheet, readPicture = () => null, grid, screen = SCREEN_BLOCK_SIZE }: ReadOptions = {},
): ReadCollection {
  const page = readPage(html, readSheet);
  const reports: Report[] = [...page.reports];
  const said = new Set<string>();
  const report = (each: Report) => {
    const key = `${each.sheet ?? ''}:${each.line}:${each.message}`;
    if (!said.has(key)) reports.push(each);
    said.add(key);
  };
  const breakpoints = breakpointsOf(page);
  const widths = bandWidths(breakpoints);
  const all = gridsAt(page, widths[0] ?? LIMITS.widest, screen);
  const found = all.map((element) => foundGrid(element, all));
  const asked = grid === undefined ? [undefined] : [grid].flat().map((each) => all[each]);
  const chosen = asked.flatMap((wanted) => {
    const [first, ...more] = widths.map((width) => gridAt(page, width, screen, wanted));
    return first ? [[first, ...more] as const] : [];
  });
  const [widest] = chosen[0] ?? [];
  if (!widest) {
    report({ line: 1, message: 'There is no grid in this page: no element with “display: grid”.' });
    return { document: null, found, starts: {}, reports };
  }
  const sayOf =
    (element: Element): Say =>
    (property, message, became = 'changed') =>
      report({
        ...lineOf(page, element, property),
        message: `“${property}” of <${element.name}> ${message}.`,
        ...(became === 'changed' && CHANGED),
      });

  const cascaded = cascadedIn(page);
  const icons = new PageIcons();
  const pictures = new PagePictures(readPicture);
  const reading: Reading = {
    widths,
    cascaded,
    sayOf,
    styleOf: typeReader(cascaded),
    contentOf: (element) => ({
      say: (message, became) =>
        report({
          line: element.sourceCodeLocation?.startLine ?? 1,
          message,
          ...(became === 'changed' && CHANGED),
        }),
      picture: (address, alternativeText) => pictures.add(address, alternativeText),
      croppedAs: (each) => cropOf(cascaded(each)),
      icon: (svg, label) => icons.add(svg, label),
      isApart: (each) => {
        const display = cascaded(each).values.get('display')?.[0];
        return display?.type === 'Identifier' && /grid|flex/.test(display.name);
      },
    }),
  };
  const [one] = chosen;
  const { arrangement, tiles, order, bands, elements, types, sources } =
    chosen.length === 1 && one ? readLevel(one[0], one, reading, new Set()) : readTogether(chosen, reading);
  if (chosen.length > 1)
    report({
      line: 1,
      message: `${chosen.length} grids lie one below the other; what is between them is left out.`,
    });
  reportUnknown(page, elements, report);
  reportActive(page, report);
  const saying = bands.flatMap((band, k): NarrowerBand[] => {
    const below = breakpoints[k];
    if (!band || below === undefined || !saysSomething(band)) return [];
    const { groups, ...rest } = band;
    return [{ id: `below-${below}`, below, ...rest, ...(Object.keys(groups).length > 0 && { groups }) }];
  });
  const narrower = saying.slice(0, LIMITS.bands);
  if (saying.length > narrower.length)
    report({
      line: 1,
      message: `It changes at ${saying.length} widths; the widest ${LIMITS.bands} bands of these are kept.`,
      ...CHANGED,
    });
  const [padding, radius] = [commonest(tiles, 'padding'), commonest(tiles, 'radius')];
  const type = commonType(types);
  // The bands are those that the page has.
  const { narrowerBands: _, ...base } = emptyDocument(titleOf(page) || name);
  return {
    found,
    starts: Object.fromEntries([...sources].map(([id, element]) => [id, startOf(element)])),
    document: withEntryIds({
      ...base,
      language: page.root.attribs.lang ?? base.language,
      arrangement,
      bands: narrower,
      look: {
        ...base.look,
        background: backgroundOf(groundOf(chosen.length, widest.element), cascaded),
        ...(padding !== null && { tilePadding: padding }),
        ...(radius !== null && { radius }),
        ...(type.heading && { headingFamily: type.heading.family, headingSize: type.heading.size }),
        ...(type.body && { bodyFamily: type.body.family, bodySize: type.body.size }),
      },
      tiles: typed(without(tiles, padding, radius), types, { ...type, base: base.look }),
      pictures: pictures.all,
      ...(Object.keys(icons.all).length > 0 && { icons: icons.all }),
      order,
    }),
    reports: reports.sort((a, b) => a.line - b.line),
  };
}

/** Where the tag of an element begins, in characters. */
const startOf = (element: Element) => element.sourceCodeLocation?.startOffset ?? 0;

function foundGrid(element: Element, all: readonly Element[]): FoundGrid {
  const { id, class: classes = '' } = element.attribs;
  const [first = ''] = classes.trim().split(/\s+/);
  const called = id ? `#${id}` : first === '' ? '' : `.${first}`;
  return {
    name: `${element.name}${called}`.slice(0, LIMITS.name),
    line: element.sourceCodeLocation?.startLine ?? 1,
    isInner: all.some((each) => each !== element && holds(each, element)),
  };
}

const holds = (outer: Element, inner: Element): boolean =>
  inner.parent !== null && (inner.parent === outer || (isTag(inner.parent) && holds(outer, inner.parent)));

function titleOf({ root }: SourcePage): string {
  const search = (element: Element): string => {
    for (const child of element.children) {
      if (!isTag(child)) continue;
      if (child.name === 'title') return wordsOf(child);
      const inner = search(child);
      if (inner !== '') return inner;
    }
    return '';
  };
  return search(root).slice(0, LIMITS.name);
}

/** Where a property of an element was declared last. */
function lineOf(page: SourcePage, element: Element, property: string): Pick<Report, 'line' | 'sheet'> {
  const inline = page.inlineDeclarations.get(element)?.findLast((each) => each.property.startsWith(property));
  if (inline) return { line: inline.line };
  for (const rule of [...page.rules].reverse()) {
    if (!rule.matches(element)) continue;
    const found = rule.declarations.findLast((each) => each.property.startsWith(property));
    if (found) return placeOf(found);
  }
  return { line: element.sourceCodeLocation?.startLine ?? 1 };
}

const placeOf = ({ line, sheet }: Declaration) => (sheet === undefined ? { line } : { line, sheet });

const CHANGED = { isChanged: true } as const;

/** What runs, or brings another page: an element, and in words what it is. */
const ACTIVE: Readonly<Record<string, string>> = {
  script: 'A script',
  iframe: 'A page in the page',
  object: 'An embedded object',
  embed: 'An embedded object',
};

/** Reports what of a page runs by itself. */
function reportActive({ root }: SourcePage, report: (report: Report) => void): void {
  const visit = (element: Element): void => {
    const line = element.sourceCodeLocation?.startLine ?? 1;
    const what = ACTIVE[element.name];
    if (what) report({ line, message: `${what} is left out.` });
    for (const name of Object.keys(element.attribs))
      if (/^on/i.test(name))
        report({ line, message: `“${name.slice(0, 40)}” of <${element.name}> is left out.` });
    for (const child of element.children) if (isTag(child)) visit(child);
  };
  visit(root);
}

/** Reports every declaration for the grid or a tile that a document has no word for. */
function reportUnknown(
  page: SourcePage,
  elements: readonly Element[],
  report: (report: Report) => void,
): void {
  const declarations = [
    ...page.rules.filter((rule) => elements.some(rule.matches)).flatMap((rule) => rule.declarations),
    ...elements.flatMap((element) => page.inlineDeclarations.get(element) ?? []),
  ];
  for (const each of declarations) {
    const { property } = each;
    if (!isTaken(each)) report({ ...placeOf(each), message: `“${property}” is not imported.` });
  }
}

/** What an element has of the cascade at 1280 px, with what is inherited of custom properties and of the colour of words. */
function cascadedIn(page: SourcePage): (element: Element) => Cascaded {
  const known = new Map<Element, Cascaded>();
  const of = (element: Element): Cascaded => {
    let found = known.get(element);
    if (!found) {
      const around = element.parent && isTag(element.parent) ? of(element.parent) : null;
      const own = cascade(page, element, around?.custom ?? new Map(), cascadeAt(1280, SCREEN_BLOCK_SIZE));
      const colour = around?.values.get('color');
      const values =
        own.values.has('color') || !colour ? own.values : new Map([...own.values, ['color', colour]]);
      known.set(element, (found = { ...own, values }));
    }
    return found;
  };
  return of;
}

/** What a grid lies on: itself where it is alone, what it lies in where others are beside it. */
const groundOf = (count: number, element: Element): Element =>
  count > 1 && element.parent && isTag(element.parent) ? element.parent : element;

/** What shows behind a grid: its own background, or that of what it lies in. */
function backgroundOf(element: Element, cascaded: (element: Element) => Cascaded): string {
  const { values } = cascaded(element);
  const nodes = [...(values.get('background-color') ?? []), ...(values.get('background') ?? [])];
  const colour = nodes.map(readColour).find((each) => each !== null && each.opacity === 1);
  if (colour) return colour.colour;
  return element.parent && isTag(element.parent) ? backgroundOf(element.parent, cascaded) : '#ffffff';
}

const saysSomething = (band: ReadBand) =>
  Object.values(band).some((each) => Object.keys(each as object).length > 0);

interface CommonType {
  readonly heading: ReadType | null;
  readonly body: ReadType | null;
}

/** How most words of tiles are set. */
function commonType(types: ReadonlyMap<TileId, CardType>): CommonType {
  const all = [...types.values()];
  const most = (some: readonly ReadType[]): ReadType | null => {
    const counts = new Map<string, { readonly type: ReadType; count: number }>();
    for (const type of some) {
      const key = JSON.stringify([type.family, type.size]);
      const known = counts.get(key);
      if (known) known.count++;
      else counts.set(key, { type, count: 1 });
    }
    return [...counts.values()].sort((a, b) => b.count - a.count)[0]?.type ?? null;
  };
  const headings = all.flatMap(({ large }) => (large?.part === 'heading' ? [large.type] : []));
  return {
    heading:
      most(headings) ??
      most(all.flatMap(({ large }) => (large && large.part !== 'figure' ? [large.type] : []))),
    body: most(all.map(({ small }) => small)),
  };
}

/** Tiles with what of their type is other than the collection’s. */
function typed(
  tiles: Tiles,
  types: ReadonlyMap<TileId, CardType>,
  { heading, body, base }: CommonType & { readonly base: CollectionDocument['look'] },
): Tiles {
  const of = { family: base.headingFamily, size: base.headingSize };
  return Object.fromEntries(
    Object.entries(tiles).map(([id, tile]) => {
      const type = types.get(id);
      if (!type) return [id, tile];
      const look = {
        ...tile.look,
        ...(type.large && typeLook('heading', type.large.part, type.large.type, heading ?? of)),
        ...typeLook('body', 'text', type.small, body ?? type.small),
      };
      return [id, { ...tile, look }];
    }),
  );
}

type Tiles = Readonly<Record<TileId, Tile>>;

/** The value that most tiles have, where it is one for all sides; null where there is none such. */
function commonest(tiles: Tiles, of: 'padding' | 'radius'): Measure | null {
  const counts = new Map<Measure, number>();
  for (const { look } of Object.values(tiles)) {
    const value = look[of];
    if (value !== undefined && typeof value !== 'object') counts.set(value, (counts.get(value) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

/** Tiles without what they have as the collection has it. */
const without = (tiles: Tiles, padding: Measure | null, radius: Measure | null): Tiles =>
  Object.fromEntries(
    Object.entries(tiles).map(([id, tile]) => {
      const { padding: own, radius: round, ...look } = tile.look;
      return [
        id,
        {
          ...tile,
          look: {
            ...look,
            ...(own !== undefined && own !== padding && { padding: own }),
            ...(round !== undefined && round !== radius && { radius: round }),
          },
        },
      ];
    }),
  );
