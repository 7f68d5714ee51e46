import { bandsOf, placeIn } from '../../document/bands.js';
import { lookedAt, type LookedAt } from '../../arrangements/lookedAt.js';
import { allTiles, withContents } from '../../document/levels.js';
import { selectorsBefore } from '../../arrangements/questions.js';
import { COLLECTION, type BandCss } from './bandCss.js';
import { contentCss, backgroundColour, namedRule } from '../../parts/contentCss.js';
import { hasEnlarged } from '../../parts/enlarge.js';
import { enlargeCss } from './enlargeParts.js';
import { inBandParts, inRange } from './inBand.js';
import { initialValues } from './initial.js';
import { motionCss } from './motionCss.js';
import { piecesOf, type Piece } from './pieces.js';
import { indented, mergedRules, ruleCss, tileSelector, type Declarations } from '../../engine/css/rule.js';
import { differingRules, tileRules } from '../../parts/tileRules.js';
import { isBare, neededBy } from '../../parts/compositions/index.js';
import { pictureOf } from '../../document/card.js';
import { typeSizeCss } from '../../look/css.js';
import { px } from '../../engine/css/units.js';
import type { PictureImage } from '../../parts/part.js';
import type { CollectionDocument, Tile } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/**
 * The page's style sheet. The widest band is written whole; each narrower one, in a query of the
 * container's or the window's width, writes only what differs from the next wider band, so the file
 * inherits values as the bands do. What only some browsers can do, and what holds in one band alone,
 * comes after.
 * @throws whatever the measurer throws
 */
export function pageCss(document: CollectionDocument, image: PictureImage, measurer: TextMeasurer): string {
  const pieces = piecesOf(document, measurer);
  const sizes = bandSizes(document, image);
  const widest = (pieces[0] as Piece).css.rules;
  const initial = initialValues();
  const parts = [
    namedRule(':root', document),
    ruleCss({ selector: 'html', declarations: { background: backgroundColour(document) } }),
    ruleCss({ selector: 'body', declarations: { 'container-type': 'inline-size', margin: '0' } }),
    collectionRule(widest, initial, sizes.widest),
    contentCss({ look: sizes.look }, neededBy(Object.values(document.tiles))).trimEnd(),
    allTiles(document)
      .flatMap((id) =>
        wholeTile(lookedAt(document, 0), document.tiles[id] as Tile, { widest, initial, image }).map(ruleCss),
      )
      .join('\n'),
    ...bandParts(document, pieces, { initial, looks: sizes }),
  ];
  if (hasEnlarged(document)) parts.push(enlargeCss(document.look.bodyFamily).trimEnd());
  parts.push(...motionCss(document));
  return `${parts.filter(Boolean).join('\n\n')}\n`;
}

/**
 * Where tiles lie and no more: the grid and its places in every band, without looks and contents. What
 * the style sheet of a page says of pictures, these rules do not know: tiles may hold anything.
 * @throws whatever the measurer throws
 */
export function placesCss(document: CollectionDocument, measurer: TextMeasurer): string {
  const pieces = piecesOf(document, measurer);
  const widest = (pieces[0] as Piece).css.rules;
  const initial = initialValues();
  const parts = [
    collectionRule(widest, initial, BARE),
    allTiles(document)
      .map((id) => {
        const selector = tileSelector(id);
        const isLevel = document.tiles[id]?.kind === 'group';
        const declarations = { ...plain(widest[selector] ?? {}, initial), ...(isLevel && BARE) };
        return ruleCss({ selector, declarations });
      })
      .join('\n'),
    ...bandParts(document, pieces, { initial, looks: null }),
  ];
  return `${parts.filter(Boolean).join('\n\n')}\n`;
}

/** A grid and no more, whatever the page around says of such an element. */
const BARE: Declarations = { float: 'none', border: '0' };

const collectionRule = (widest: BandCss['rules'], initial: Declarations, more: Declarations) =>
  ruleCss({
    selector: COLLECTION,
    declarations: {
      'box-sizing': 'border-box',
      'margin-inline': 'auto',
      ...plain(widest[COLLECTION] ?? {}, initial),
      ...more,
    },
  });

interface BandParts {
  readonly initial: Declarations;
  /** What bands set of looks; null where no looks are written. */
  readonly looks: Pick<ReturnType<typeof bandSizes>, 'rules'> | null;
}

/** What the arrangement draws before tiles, and what each narrower band says of them. */
function bandParts(
  document: CollectionDocument,
  pieces: readonly Piece[],
  { initial, looks }: BandParts,
): string[] {
  const at = document.queries === 'media' ? '@media' : '@container';
  const widest = (pieces[0] as Piece).css.rules;
  const parts = [
    Object.entries(widest)
      .filter(([selector]) => selector.endsWith('::before'))
      .map(([selector, declarations]) => ruleCss({ selector, declarations }))
      .join('\n'),
  ];
  const reset = resetsOf(document, initial, looks !== null);
  const bands = bandsOf(document);
  let said = widest;
  pieces.slice(1).forEach(({ band, css }) => {
    const declared = Object.keys({ ...said, ...css.rules }).map((selector) => ({
      selector,
      declarations: differing(css.rules[selector] ?? {}, said[selector] ?? {}, reset(selector)),
    }));
    const [grid, ...rest] = declared;
    const isFirst = band.below === bands[band.index]?.below;
    const rules = [...(grid ? [grid] : []), ...(isFirst && looks ? looks.rules(band.index) : []), ...rest];
    const text = rules.map(ruleCss).filter(Boolean).join('\n');
    if (text) parts.push(`${at} (width < ${band.below}px) {\n${indented(text)}\n}`);
    said = css.rules;
  });
  parts.push(...inBandParts(pieces, at));
  const before = selectorsBefore(document);
  for (const band of bands) {
    const hidden = allTiles(document).filter(
      (id) => placeIn(document, document.tiles[id] as Tile, band.index).hidden,
    );
    if (hidden.length === 0) continue;
    const rule = ruleCss({
      selector: hidden.flatMap((id) => [tileSelector(id), ...(before.get(id) ?? [])]).join(',\n'),
      declarations: { display: 'none' },
    });
    parts.push(inRange(at, band, rule));
  }
  return parts;
}

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
    const [wider, own] = [lookedAt(document, index - 1), lookedAt(document, index)];
    const { headingSize, bodySize } = typeSizes;
    // Where words lie over another tile, or do no more, they may be of another colour.
    const dressedIn = [...Object.keys(looks), ...(wider.lower?.keys() ?? []), ...(own.lower?.keys() ?? [])];
    return [
      {
        // What is in the container that is asked: the root of the page is around it.
        selector: COLLECTION,
        declarations: {
          ...(headingSize !== undefined && { [HEADING_SIZE]: px(headingSize) }),
          ...(bodySize !== undefined && { [BODY_SIZE]: px(bodySize) }),
        },
      },
      // Words in a group are told by its fill.
      ...[...new Set(dressedIn.flatMap((id) => withContents(own, id)))].flatMap((id) => {
        const [before, after] = [wider.tiles[id], own.tiles[id]];
        return before && after
          ? differingRules({ known: wider, tile: before }, { known: own, tile: after }, image)
          : [];
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

interface Whole {
  readonly widest: BandCss['rules'];
  readonly initial: Declarations;
  readonly image: PictureImage;
}

/** A tile's place in the widest band and its own look, as one rule where they share a selector. */
function wholeTile(document: LookedAt, tile: Tile, { widest, initial, image }: Whole) {
  const said = widest[tileSelector(tile.id)] ?? {};
  // A picture is as large as its cells by the rule for all pictures, so it has to say when it is not.
  const size = Object.fromEntries(
    Object.entries(said).filter(
      ([property]) => pictureOf(tile) !== null && /^(inline|block)-size$/.test(property),
    ),
  );
  const place = { selector: tileSelector(tile.id), declarations: { ...plain(said, initial), ...size } };
  return mergedRules([place, ...tileRules(document, tile, image)]);
}

/** What the browser does anyway is not written in the base rules. */
function plain(declarations: Declarations, initial: Declarations): Declarations {
  return Object.fromEntries(
    Object.entries(declarations).filter(([property, value]) => initial[property] !== value),
  );
}

/** What a rule has to say to become another, with what the wider one said and this one does not. */
const differing = (
  own: Declarations,
  wider: Declarations,
  reset: (property: string) => string | undefined,
): Declarations => {
  const changed = Object.entries(own).filter(([property, value]) => wider[property] !== value);
  const gone = Object.keys(wider).flatMap((property): [string, string][] => {
    const value = property in own ? undefined : reset(property);
    return value === undefined || value === wider[property] ? [] : [[property, value]];
  });
  return Object.fromEntries([...changed, ...gone]);
};

/** What properties are in a rule that does not say them, in a page with the rules of contents or without. */
function resetsOf(document: CollectionDocument, initial: Declarations, hasContents: boolean) {
  const byTile = new Map(allTiles(document).map((id) => [tileSelector(id), document.tiles[id] as Tile]));
  return (selector: string) => (property: string) => {
    const tile = byTile.get(selector);
    // A picture is as large as its cells by the rule for all pictures.
    if (hasContents && tile && pictureOf(tile) && /^(inline|block)-size$/.test(property)) return '100%';
    if (hasContents && tile && (property === 'overflow' || property === 'overflow-x')) return 'clip';
    // The collection itself stands in the middle of its page.
    if (selector === COLLECTION && property.startsWith('margin')) return undefined;
    if (hasContents && property === 'aspect-ratio' && tile && isBare(tile)) return undefined;
    return initial[property];
  };
}
