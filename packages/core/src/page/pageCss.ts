import { bandsOf } from '../document/bands.js';
import { arrangementKinds } from '../layout.js';
import { contentCss, tileCss } from './contentCss.js';
import { FAMILIES } from './families.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type { CollectionDocument, FamilyName } from '../document/types.js';

/** The families a collection uses. */
export function familiesOf({ look }: CollectionDocument): FamilyName[] {
  return [...new Set([look.headingFamily, look.bodyFamily])];
}

/**
 * The page's style sheet. The widest band is written whole; each narrower one, in a container query,
 * writes only what differs from the next wider band, so the file carries values as the bands do.
 */
export function pageCss(document: CollectionDocument): string {
  const bands = bandsOf(document);
  const css = bands.map((band) => arrangementKinds[band.arrangement.kind].toCss(document, band));
  const widest = css[0] as ArrangementCss;
  const parts = [
    ...familiesOf(document).flatMap(fontFaces),
    `html {\n  background: ${document.look.ground};\n}`,
    'body {\n  container-type: inline-size;\n  margin: 0;\n}',
    rule('.collection', {
      'box-sizing': 'border-box',
      display: 'grid',
      'margin-inline': 'auto',
      ...plain(widest.grid),
    }),
    contentCss(document).trimEnd(),
    document.order
      .map((id) => {
        const tile = document.tiles[id];
        const place = plain(widest.tiles[id] ?? {});
        return [tile ? tileCss(tile).trimEnd() : '', rule(`[data-tile="${id}"]`, place)]
          .filter(Boolean)
          .join('\n');
      })
      .join('\n'),
  ];
  bands.slice(1).forEach((band, k) => {
    const [wider, own] = [css[k] as ArrangementCss, css[k + 1] as ArrangementCss];
    const rules = [
      rule('.collection', differing(own.grid, wider.grid)),
      ...document.order.map((id) =>
        rule(`[data-tile="${id}"]`, differing(own.tiles[id] ?? {}, wider.tiles[id] ?? {})),
      ),
    ].filter(Boolean);
    if (rules.length === 0) return;
    parts.push(`@container (width < ${band.below}px) {\n${indent(rules.join('\n'))}\n}`);
  });
  return `${parts.filter(Boolean).join('\n\n')}\n`;
}

function fontFaces(name: FamilyName): string[] {
  const { files, weights } = FAMILIES[name];
  return files.map(({ file, unicodeRange }) =>
    rule('@font-face', {
      'font-family': `"${name}"`,
      'font-style': 'normal',
      'font-weight': weights,
      'font-display': 'swap',
      src: `url("fonts/${file}") format("woff2")`,
      'unicode-range': unicodeRange,
    }),
  );
}

/** What the browser does anyway is not written in the base rules. */
const INITIAL: Declarations = {
  'grid-template-rows': 'none',
  'grid-auto-flow': 'row',
  'max-inline-size': 'none',
  'grid-column': 'span 1',
  'grid-row': 'span 1',
};

const plain = (declarations: Declarations): Declarations =>
  Object.fromEntries(Object.entries(declarations).filter(([property, value]) => INITIAL[property] !== value));

const differing = (own: Declarations, wider: Declarations): Declarations =>
  Object.fromEntries(Object.entries(own).filter(([property, value]) => wider[property] !== value));

function rule(selector: string, declarations: Declarations): string {
  const lines = Object.entries(declarations).map(([property, value]) => `  ${property}: ${value};`);
  return lines.length > 0 ? `${selector} {\n${lines.join('\n')}\n}` : '';
}

const indent = (text: string) => text.replace(/^(?=.)/gm, '  ');
