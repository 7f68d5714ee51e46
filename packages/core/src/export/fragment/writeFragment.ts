import { ENLARGE_LINK, ENLARGE_SCRIPT, ENLARGED_HTML } from '../page/enlargeParts.js';
import { attributesHtml } from '../../engine/html/node.js';
import { scrolling } from '../../parts/tileHtml.js';
import { slugOf } from '../../document/slug.js';
import { fontAssets, withFaces } from '../page/fonts.js';
import { written } from '../page/written.js';
import { readSheet, sheetText, type SheetItem } from '../sheet/sheet.js';
import { scoped } from './scoped.js';
import { spelt } from '../sheet/spelling.js';
import type { CollectionDocument } from '../../document/types.js';
import type { Page } from '../page/writePage.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What `all` does not reach in elements that say their size themselves, as pictures and drawings do. */
const PLAIN_PICTURE = `  float: none;
  max-inline-size: none;
  max-block-size: none;
  min-inline-size: 0;
  min-block-size: 0;
  margin: 0;
  border: 0;
  padding: 0;
  background: none;
  box-shadow: none;
  filter: none;
  opacity: 1;
  outline: 0;
  transform: none;
  vertical-align: baseline;
`;

/** Keeps what the page around says of its own elements out of the fragment. */
const apart = (id: string) => `#${id} {
  all: initial;
  display: block;
  direction: ltr;
}
#${id} :not(svg, svg *, img, video),
#${id}::before,
#${id}::after,
#${id} ::before,
#${id} ::after {
  all: revert;
}
#${id} :is(svg, img, video) {
${PLAIN_PICTURE}}
`;

/** The style sheet of a fragment: what keeps it apart, with what is said of its element, and the rules of what is in it. */
function fragmentCss(css: string, id: string): string {
  const { own, css: inside } = scoped(css, id);
  const rules = readSheet(apart(id)).map((item, k): SheetItem =>
    item.kind === 'rule' && k === 0 ? { ...item, declarations: [...item.declarations, ...own] } : item,
  );
  return `/* Nothing of the page around comes in here, and nothing goes out. */\n${sheetText(spelt(rules))}\n\n${inside}`;
}

/**
 * Writes a collection as a part of another page: HTML in an element of its own and a style sheet that holds in that
 * element alone, whatever the page around says of its elements. Its breakpoints measure the element.
 * @returns `<name>.html`, `<name>.css`, and `enlarge.js` where pictures open large
 * @throws whatever the measurer throws
 */
export function writeFragment(collection: CollectionDocument, measurer: TextMeasurer): Page {
  const { queries: _, ...measuring } = collection;
  // The page around has a main part of its own.
  const { document, css, faces, tiles, enlarges, assets } = written(measuring, {
    measurer,
    without: ['main'],
  });
  const id = fragmentId(collection);
  const html = `<div id="${id}">
  <div class="collection" data-grid="collection"${attributesHtml(scrolling(document, null))}>
${tiles.map((tile) => `    ${tile}`).join('\n')}
  </div>
${enlarges ? ENLARGED_HTML : ''}</div>
${enlarges ? ENLARGE_LINK : ''}`;
  return {
    files: {
      [`${id}.html`]: html,
      [`${id}.css`]: withFaces(fragmentCss(css, id), faces),
      ...(enlarges && { 'enlarge.js': ENLARGE_SCRIPT }),
    },
    assets: [...assets.values(), ...fontAssets(document, html)],
  };
}

/** What the element of a fragment is called: as the collection, so that it can be an id. */
export const fragmentId = ({ name }: Pick<CollectionDocument, 'name'>): string => slugOf(name) || 'grid';
