import { RING_CSS } from '../engine/css/ring.js';
import { colourCss, measureCss, namedLooksCss, timesCss, typeSizeCss } from '../look/css.js';
import { px } from '../engine/css/units.js';
import { BADGE_INSET } from './badge.js';
import { familyCss } from './families.js';
import { ruleCss } from '../engine/css/rule.js';
import type { Needed } from './compositions/index.js';
import { partKinds } from './index.js';
import type { CollectionDocument, NamedLooks } from '../document/types.js';
import type { PartCss } from './part.js';

/** What a tile says in its large type: its heading, figure or quoted words. */
export const LARGE = ':is(h1, h2, h3, h4, h5, h6, strong, blockquote)';

/** Parts of a card that stand in a line with each other. */
const LINES_CSS = `.row {
  display: flex;
  align-items: center;
  gap: 0.6em;
  min-inline-size: 0;
}
.row > * {
  min-inline-size: 0;
}
.part {
  display: flex;
  flex-direction: column;
  gap: inherit;
}
`;

/** Named looks, as custom properties of the element that a selector names. */
export const namedRule = (
  selector: string,
  { namedLooks }: { readonly namedLooks?: NamedLooks | undefined },
) => ruleCss({ selector, declarations: namedLooksCss(namedLooks) });

/**
 * How tiles look in this collection: the same rules on the stage and in the page.
 * @param needed what some tiles need beside what all do
 */
export function contentCss({ look }: Pick<CollectionDocument, 'look'>, { apart, line }: Needed): string {
  const { bodySize, tilePadding, radius } = look;
  const all = partKinds().map(({ css }) => css(look));
  const of = (which: keyof PartCss) => [...new Set(all.map((css) => css[which] ?? ''))].join('');
  return `[data-tile] {
  box-sizing: border-box;
  display: flex;
  flex-direction: column;
  gap: 0.3em;
  min-inline-size: 0;
  min-block-size: 0;
  margin: 0;
  padding: ${measureCss(tilePadding)};
  border-radius: ${measureCss(radius)};
  overflow: clip;
  font-family: ${familyCss(look.bodyFamily)};
  font-size: ${typeSizeCss(bodySize)};
  font-weight: 400;
  line-height: 1.45;
  overflow-wrap: break-word;
}
:where([data-tile]) :is(h1, h2, h3, h4, h5, h6, p, ul, ol, blockquote, figcaption) {
  margin: 0;
}
${of('flow')}.unseen {
  position: absolute;
  inline-size: 1px;
  block-size: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
}
.behind {
  display: none;
  position: absolute;
  z-index: -2;
  inset: 0;
  inline-size: 100%;
  block-size: 100%;
  object-fit: cover;
  pointer-events: none;
}
@media (prefers-reduced-motion: reduce) {
  video.behind {
    visibility: hidden;
  }
}
.opens {
  display: none;
  margin: 0;
}
${of('fills')}.badge {
  position: absolute;
  padding: 0.35em 0.8em;
  border-radius: 2em;
  font-family: ${familyCss(look.bodyFamily)};
  font-size: ${timesCss(bodySize, 0.86)};
  font-weight: 600;
  line-height: 1.2;
  letter-spacing: 0;
  inline-size: max-content;
  max-inline-size: calc(100% - ${px(2 * BADGE_INSET)});
  box-sizing: border-box;
  text-wrap: balance;
}
${of('over')}.cover {
  color: inherit;
  text-decoration: none;
}
.cover:empty {
  position: absolute;
  inset: 0;
}
.cover::after {
  content: "";
  position: absolute;
  z-index: 1;
  inset: 0;
}
.cover:focus-visible {
  outline: none;
}
.cover:focus-visible::after {
${RING_CSS}
  border-radius: inherit;
}
[data-tile]:has(.cover) a:not(.cover) {
  position: relative;
  z-index: 2;
}
[data-tile] :is(p, li) a {
  color: inherit;
}
${line ? of('line') : ''}${apart ? `${LINES_CSS}${of('apart')}` : ''}`;
}

/** The background of the page or the stage. */
export const backgroundColour = ({ look }: Pick<CollectionDocument, 'look'>) => colourCss(look.background);
