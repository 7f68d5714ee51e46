import { bandsOf } from '../document/bands.js';
import { allTiles } from '../document/levels.js';
import { arrangementKinds } from '../layout.js';
import { contentCss, groundColour, namedRule } from './contentCss.js';
import { FAMILIES, familiesOf } from './families.js';
import { motionCss } from './motionCss.js';
import { mergedRules, ruleCss, tileSelector } from './rule.js';
import { tileRules, type PictureImage } from './tileRules.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type { CollectionDocument, FamilyName, Tile } from '../document/types.js';

/**
 * The page's style sheet. The widest band is written whole; each narrower one, in a container query,
 * writes only what differs from the next wider band, so the file carries values as the bands do. The
 * fonts come last: they are the least worth reading.
 */
export function pageCss(document: CollectionDocument, image: PictureImage): string {
  const bands = bandsOf(document);
  const css = bands.map((band) => arrangementKinds[band.arrangement.kind].toCss(document, band));
  const widest = css[0] as ArrangementCss;
  const parts = [
    namedRule(':root', document),
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
    contentCss(document).trimEnd(),
    allTiles(document)
      .flatMap((id) => wholeTile(document, document.tiles[id] as Tile, widest, image).map(ruleCss))
      .join('\n'),
  ];
  bands.slice(1).forEach((band, k) => {
    const [wider, own] = [css[k] as ArrangementCss, css[k + 1] as ArrangementCss];
    const rules = [
      { selector: '.collection', declarations: differing(own.grid, wider.grid) },
      ...allTiles(document).map((id) => ({
        selector: tileSelector(id),
        declarations: differing(own.tiles[id] ?? {}, wider.tiles[id] ?? {}),
      })),
    ];
    const text = rules.map(ruleCss).filter(Boolean).join('\n');
    if (text) parts.push(`@container (width < ${band.below}px) {\n${indent(text)}\n}`);
  });
  parts.push(...motionCss(document), ...familiesOf(document).flatMap(fontFaces));
  return `${parts.filter(Boolean).join('\n\n')}\n`;
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
  'grid-column': 'span 1',
  'grid-row': 'span 1',
};

const plain = (declarations: Declarations): Declarations =>
  Object.fromEntries(Object.entries(declarations).filter(([property, value]) => INITIAL[property] !== value));

const differing = (own: Declarations, wider: Declarations): Declarations =>
  Object.fromEntries(Object.entries(own).filter(([property, value]) => wider[property] !== value));

const indent = (text: string) => text.replace(/^(?=.)/gm, '  ');
