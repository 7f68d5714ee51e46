import { RING_CSS } from '../engine/css/ring.js';
import { colourCss, measureCss, namedLooksCss, timesCss, typeSizeCss } from '../look/css.js';
import { familyCss } from './families.js';
import { ruleCss } from '../engine/css/rule.js';
import type { CollectionDocument, NamedLooks } from '../document/types.js';

/** What a tile says in its large type: its heading, figure or quoted words. */
export const LARGE = ':is(h1, h2, h3, h4, h5, h6, strong, blockquote)';

/** Named looks, as custom properties of the element that a selector names. */
export const namedRule = (
  selector: string,
  { namedLooks }: { readonly namedLooks?: NamedLooks | undefined },
) => ruleCss({ selector, declarations: namedLooksCss(namedLooks) });

/** How tiles of each kind look in this collection: the same rules on the stage and in the page. */
export function contentCss({ look }: Pick<CollectionDocument, 'look'>): string {
  const { headingSize, bodySize, tilePadding, radius } = look;
  const large = (
    weight: number,
    size: string,
    lineHeight: number,
    tracking: number,
  ) => `  font-family: ${familyCss(look.headingFamily)};
  font-size: ${size};
  font-weight: ${weight};
  line-height: ${lineHeight};
  letter-spacing: ${tracking}em;`;
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
[data-tile] > :is(h1, h2, h3, h4, h5, h6) {
${large(650, typeSizeCss(headingSize), 1.15, -0.012)}
  text-wrap: balance;
}
[data-tile] > :is(ul, ol) {
  padding-inline-start: 1.25em;
}
.eyebrow {
  font-size: 0.85em;
  font-weight: 550;
  letter-spacing: 0.02em;
}
.stat > strong {
${large(680, timesCss(headingSize, 1.7), 1, -0.035)}
}
.quote > blockquote {
${large(560, typeSizeCss(headingSize), 1.22, -0.012)}
  text-wrap: pretty;
}
.quote > figcaption {
  font-size: 0.92em;
}
a.action {
${large(620, typeSizeCss(headingSize), 1.15, -0.012)}
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
ul.marks,
.marks > ul {
  display: flex;
  flex-flow: row wrap;
  align-items: center;
  gap: 1.1em;
  list-style: none;
}
.marks > ul {
  padding: 0;
}
.marks li,
.marks li > a {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.4em;
  color: inherit;
  text-decoration: none;
}
.marks :is(svg, img) {
  display: block;
}
.unseen {
  position: absolute;
  inline-size: 1px;
  block-size: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
}
.opens {
  display: none;
  margin: 0;
}
[data-tile]:where(img),
.picture > img,
.film > video {
  display: block;
  inline-size: 100%;
  block-size: 100%;
  padding: 0;
  object-fit: cover;
}
[data-tile]:has(> .badge, .cover),
figure:is(.picture, .film) {
  position: relative;
}
figure:is(.picture, .film) {
  padding: 0;
}
.badge {
  position: absolute;
  padding: 0.35em 0.8em;
  border-radius: 2em;
  font-family: ${familyCss(look.bodyFamily)};
  font-size: ${timesCss(bodySize, 0.86)};
  font-weight: 600;
  line-height: 1.2;
  letter-spacing: 0;
  white-space: nowrap;
}
:is(.picture, .film) > figcaption {
  position: absolute;
  inset: auto 0 0;
  padding: 2.4em ${measureCss(tilePadding)} ${timesCss(tilePadding, 0.75)};
  background: linear-gradient(transparent, rgb(0 0 0 / 0.62));
  color: #fff;
}
.cover {
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
`;
}

/** The ground of the page or the stage. */
export const groundColour = ({ look }: Pick<CollectionDocument, 'look'>) => colourCss(look.ground);
