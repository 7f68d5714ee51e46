import { bandsOf, placeIn, type Band } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { widthForColumns } from '../fluid/columns.js';
import { allTiles } from '../document/levels.js';
import { arrangementKinds } from '../layout.js';
import { contentCss, groundColour, namedRule } from './contentCss.js';
import { FAMILIES, familiesOf } from './families.js';
import { motionCss } from './motionCss.js';
import { mergedRules, ruleCss, tileSelector } from './rule.js';
import { differingRules, tileRules, type PictureImage } from './tileRules.js';
import { LIMITS } from '../document/limits.js';
import { typeSizeCss } from '../look/css.js';
import { px } from './units.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type { CollectionDocument, FamilyName, Tile } from '../document/types.js';

/**
 * The page's style sheet. The widest band is written whole; each narrower one, in a query of the
 * container's or the window's width, writes only what differs from the next wider band, so the file
 * carries values as the bands do. The fonts come last: they are the least worth reading.
 */
export function pageCss(document: CollectionDocument, image: PictureImage): string {
  const bands = bandsOf(document).flatMap((band) => pieces(document, band));
  const at = document.queries === 'media' ? '@media' : '@container';
  const sizes = bandSizes(document, image);
  const css = bands.map((band) => arrangementKinds[band.arrangement.kind].toCss(document, band));
  const widest = css[0] as ArrangementCss;
  const parts = [
    namedRule(':root', document),
    ruleCss({ selector: ':root', declarations: sizes.widest }),
    ruleCss({ selector: 'html', declarations: { background: groundColour(document) } }),
    ruleCss({ selector: 'body', declarations: { 'container-type': 'inline-size', margin: '0' } }),
    ruleCss({
      selector: '.collection',
      declarations: {
        'box-sizing': 'border-box',
        display: 'grid',
        'margin-inline': 'auto',
        ...plain(widest.grid),
      },
    }),
    contentCss({ look: sizes.look }).trimEnd(),
    allTiles(document)
      .flatMap((id) => wholeTile(document, document.tiles[id] as Tile, widest, image).map(ruleCss))
      .join('\n'),
  ];
  bands.slice(1).forEach((band, k) => {
    const [wider, own] = [css[k] as ArrangementCss, css[k + 1] as ArrangementCss];
    const rules = [
      { selector: '.collection', declarations: differing(own.grid, wider.grid) },
      ...(band.below === bandsOf(document)[band.index]?.below ? sizes.rules(band.index) : []),
      ...allTiles(document).map((id) => ({
        selector: tileSelector(id),
        declarations: differing(own.tiles[id] ?? {}, wider.tiles[id] ?? {}),
      })),
    ];
    const text = rules.map(ruleCss).filter(Boolean).join('\n');
    if (text) parts.push(`${at} (width < ${band.below}px) {\n${indent(text)}\n}`);
  });
  for (const band of bandsOf(document)) {
    const hidden = allTiles(document).filter(
      (id) => placeIn(document, document.tiles[id] as Tile, band.index).hidden,
    );
    if (hidden.length === 0) continue;
    const rule = ruleCss({
      selector: hidden.map(tileSelector).join(',\n'),
      declarations: { display: 'none' },
    });
    const range = [
      ...(band.from > 0 ? [`(width >= ${band.from}px)`] : []),
      ...(Number.isFinite(band.below) ? [`(width < ${band.below}px)`] : []),
    ];
    parts.push(range.length > 0 ? `${at} ${range.join(' and ')} {\n${indent(rule)}\n}` : rule);
  }
  parts.push(...motionCss(document), ...familiesOf(document).flatMap(fontFaces));
  return `${parts.filter(Boolean).join('\n\n')}\n`;
}

/** A band as the style sheet has it: a fluid one is cut where the spans of its tiles begin to fit. */
function pieces(document: CollectionDocument, band: Band): Band[] {
  const { arrangement } = band;
  if (arrangement.kind !== 'fluid') return [band];
  const widest = document.order.reduce(
    (most, id) => Math.max(most, placeIn(document, document.tiles[id] as Tile, band.index).columnSpan),
    1,
  );
  const from = arrangement.fluid?.spansFrom ?? 0;
  const cuts = [
    ...new Set(
      Array.from({ length: widest - 1 }, (_, k) => Math.max(from, widthForColumns(arrangement, k + 2))),
    ),
  ].filter((width) => width > band.from && width < Math.min(band.below, LIMITS.widest * 40));
  const edges = [band.below, ...cuts.toReversed(), band.from];
  return edges.slice(1).map((edge, k) => {
    const piece = { ...band, from: edge, below: edges[k] as number, at: edge };
    // At the narrowest width of a piece there are as many columns as its spans may take.
    const columns = fitting(arrangement, edge, widest);
    return { ...piece, arrangement: { ...arrangement, columns: Array<string>(columns).fill('1fr') } };
  });
}

function fitting(arrangement: Band['arrangement'], width: number, most: number): number {
  let columns = 1;
  while (columns < most && widthForColumns(arrangement, columns + 1) <= width) columns++;
  return columns;
}

/** Names that no named look can have. */
const HEADING_SIZE = '--size-of-headings';
const BODY_SIZE = '--size-of-bodies';

/**
 * What bands set of looks. Type sizes of the collection go through custom properties, so that a
 * tile's own stay over them.
 */
function bandSizes(document: CollectionDocument, image: PictureImage) {
  const { look, bands } = document;
  const sets = bands.some(({ typeSizes }) => typeSizes);
  const rules = (index: number) => {
    const { typeSizes = {}, looks = {} } = bands[index - 1] ?? {};
    const [wider, own] = [documentIn(document, index - 1), documentIn(document, index)];
    const { headingSize, bodySize } = typeSizes;
    return [
      {
        selector: ':root',
        declarations: {
          ...(headingSize !== undefined && { [HEADING_SIZE]: px(headingSize) }),
          ...(bodySize !== undefined && { [BODY_SIZE]: px(bodySize) }),
        },
      },
      ...Object.keys(looks).flatMap((id) => {
        const [before, after] = [wider.tiles[id], own.tiles[id]];
        return before && after ? differingRules(document, before, after, image) : [];
      }),
    ];
  };
  return {
    look: sets
      ? { ...look, headingSize: `{${HEADING_SIZE.slice(2)}}`, bodySize: `{${BODY_SIZE.slice(2)}}` }
      : look,
    widest: sets
      ? { [HEADING_SIZE]: typeSizeCss(look.headingSize), [BODY_SIZE]: typeSizeCss(look.bodySize) }
      : {},
    rules,
  };
}

/** A tile's place in the widest band and its own look, as one rule where they share a selector. */
function wholeTile(document: CollectionDocument, tile: Tile, widest: ArrangementCss, image: PictureImage) {
  const said = widest.tiles[tile.id] ?? {};
  // A picture is as large as its cells by the rule for all pictures, so it has to say when it is not.
  const size = Object.fromEntries(
    Object.entries(said).filter(
      ([property]) => tile.kind === 'picture' && /^(inline|block)-size$/.test(property),
    ),
  );
  const place = { selector: tileSelector(tile.id), declarations: { ...plain(said), ...size } };
  return mergedRules([place, ...tileRules(document, tile, image)]);
}

function fontFaces(name: FamilyName): string[] {
  const { files, weights } = FAMILIES[name];
  return files.map(({ file, unicodeRange }) =>
    ruleCss({
      selector: '@font-face',
      declarations: {
        'font-family': `"${name}"`,
        'font-style': 'normal',
        'font-weight': weights,
        'font-display': 'swap',
        src: `url("fonts/${file}") format("woff2")`,
        'unicode-range': unicodeRange,
      },
    }),
  );
}

/** What the browser does anyway is not written in the base rules. */
const INITIAL: Declarations = {
  'grid-template-rows': 'none',
  'grid-auto-flow': 'row',
  'grid-template-areas': 'none',
  'max-inline-size': 'none',
  'max-block-size': 'none',
  'min-block-size': '0',
  'justify-self': 'auto',
  'align-self': 'auto',
  'inline-size': 'auto',
  'block-size': 'auto',
  'z-index': '0',
  order: '0',
  'grid-column': 'span 1',
  'grid-row': 'span 1',
};

const plain = (declarations: Declarations): Declarations =>
  Object.fromEntries(Object.entries(declarations).filter(([property, value]) => INITIAL[property] !== value));

const differing = (own: Declarations, wider: Declarations): Declarations =>
  Object.fromEntries(Object.entries(own).filter(([property, value]) => wider[property] !== value));

const indent = (text: string) => text.replace(/^(?=.)/gm, '  ');
