import { familyCss } from './families.js';
import { mergedRules, ruleCss, tileSelector, type Rule } from './rule.js';
import { px } from './units.js';
import { hasFigure } from './tileHtml.js';
import type { Badge, CollectionDocument, Spread, Tile } from '../document/types.js';

const SPREAD: Readonly<Record<Spread, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  between: 'space-between',
};

/** How tiles of each kind look in this collection: the same rules on the stage and in the page. */
export function contentCss({ look }: Pick<CollectionDocument, 'look'>): string {
  return `[data-tile] {
  box-sizing: border-box;
  display: flex;
  flex-direction: column;
  gap: 0.3em;
  min-inline-size: 0;
  min-block-size: 0;
  margin: 0;
  padding: ${px(look.tilePadding)};
  border-radius: ${px(look.radius)};
  overflow: clip;
  font: 400 ${px(look.bodySize)} / 1.45 ${familyCss(look.bodyFamily)};
  overflow-wrap: break-word;
}
[data-tile] :is(h2, p, blockquote, figcaption) {
  margin: 0;
}
[data-tile] h2 {
  font: 650 ${px(look.headingSize)} / 1.15 ${familyCss(look.headingFamily)};
  letter-spacing: -0.012em;
  text-wrap: balance;
}
.eyebrow {
  font-size: 0.85em;
  font-weight: 550;
  letter-spacing: 0.02em;
}
.stat strong {
  font: 680 ${px(look.headingSize * 1.7)} / 1 ${familyCss(look.headingFamily)};
  letter-spacing: -0.035em;
}
.quote blockquote {
  font: 560 ${px(look.headingSize)} / 1.22 ${familyCss(look.headingFamily)};
  letter-spacing: -0.012em;
  text-wrap: pretty;
}
.quote figcaption {
  font-size: 0.92em;
}
a.action {
  font: 620 ${px(look.headingSize)} / 1.15 ${familyCss(look.headingFamily)};
  letter-spacing: -0.012em;
  text-decoration: none;
}
a.action:hover {
  text-decoration: underline;
  text-decoration-thickness: 0.06em;
  text-underline-offset: 0.16em;
}
a.action:focus-visible {
  outline: 3px solid currentColor;
  outline-offset: -7px;
}
[data-tile]:where(img),
.picture img {
  display: block;
  inline-size: 100%;
  block-size: 100%;
  padding: 0;
  object-fit: cover;
}
[data-tile]:has(> .badge),
figure.picture {
  position: relative;
}
figure.picture {
  padding: 0;
}
.badge {
  position: absolute;
  padding: 0.35em 0.8em;
  border-radius: 2em;
  font: 600 ${px(look.bodySize * 0.86)} / 1.2 ${familyCss(look.bodyFamily)};
  white-space: nowrap;
}
.picture figcaption {
  position: absolute;
  inset: auto 0 0;
  padding: 2.4em ${px(look.tilePadding)} ${px(Math.round(look.tilePadding * 0.75))};
  background: linear-gradient(transparent, rgb(0 0 0 / 0.62));
  color: #fff;
}
`;
}

/** What a tile has of its own: its colours, spread, type sizes, focal point and badges. */
export function tileRules(tile: Tile): Rule[] {
  return [...ownRules(tile), ...(tile.badges ?? []).map((badge, k) => badgeRule(tile, badge, k))];
}

const BADGE_INSET = '10px';

/** Held at its corner or edge alone, so that more words make it grow away from there. */
function badgeRule(tile: Tile, { inline, block, fill, ink }: Badge, k: number): Rule {
  const shift = (lie: Badge['inline']) => (lie === 'centre' ? '-50%' : '0');
  const inset = (axis: string, lie: Badge['inline']) => ({
    [`inset-${axis}-${lie === 'end' ? 'end' : 'start'}`]: lie === 'centre' ? '50%' : BADGE_INSET,
  });
  return {
    selector: `${tileSelector(tile.id)} > .badge:nth-last-child(${(tile.badges?.length ?? 0) - k})`,
    declarations: {
      ...inset('block', block),
      ...inset('inline', inline),
      ...((inline === 'centre' || block === 'centre') && {
        translate: `${shift(inline)} ${shift(block)}`,
      }),
      background: fill,
      color: ink,
    },
  };
}

function ownRules(tile: Tile): Rule[] {
  const { look } = tile;
  const at = tileSelector(tile.id);
  if (tile.kind === 'group')
    return [{ selector: at, declarations: { background: look.fill, color: look.ink } }];
  if (tile.kind === 'picture') {
    const { x, y } = tile.focalPoint;
    return mergedRules([
      { selector: at, declarations: { background: look.fill } },
      {
        selector: hasFigure(tile) ? `${at} img` : at,
        declarations: { 'object-position': `${percent(x)} ${percent(y)}` },
      },
    ]);
  }
  const own: Rule = {
    selector: at,
    declarations: {
      background: look.fill,
      color: look.ink,
      'justify-content': SPREAD[look.spread],
      ...(look.bodySize !== undefined && { 'font-size': px(look.bodySize) }),
    },
  };
  if (look.headingSize === undefined) return [own];
  const big = tile.kind === 'action' ? at : `${at} :is(h2, strong, blockquote)`;
  return mergedRules([own, { selector: big, declarations: { 'font-size': px(look.headingSize) } }]);
}

/** The same as text, for the stage. */
export const tileCss = (tile: Tile) => tileRules(tile).map(ruleCss).join('\n');

const percent = (share: number) => `${Number((share * 100).toFixed(2))}%`;
