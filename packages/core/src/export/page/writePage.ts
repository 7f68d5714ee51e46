import { ENLARGE_LINK, ENLARGE_SCRIPT, ENLARGED_HTML } from './enlargeParts.js';
import { escapeHtml } from '../../engine/css/escape.js';
import { attributesHtml } from '../../engine/html/node.js';
import { scrolling } from '../../parts/tileHtml.js';
import { fontAssets, withFaces } from './fonts.js';
import { headOf } from './head.js';
import { written } from './written.js';
import type { PageAsset } from './assets.js';
import type { CollectionDocument } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

export interface Page {
  /** Text files by path: `index.html`, `style.css`, and `enlarge.js` where pictures open large. */
  readonly files: Readonly<Record<string, string>>;
  readonly assets: readonly PageAsset[];
}

/**
 * Writes a collection as a page: semantic HTML in reading order and a style sheet, and the list of
 * pictures, films and fonts that belong beside them. There is no script, but for a small one where
 * pictures open large.
 * @throws whatever the measurer throws
 */
export function writePage(collection: CollectionDocument, measurer: TextMeasurer): Page {
  const { document, css, faces, tiles, hasMain, heading, enlarges, assets, take } = written(collection, {
    measurer,
  });
  const whole = hasMain ? 'div' : 'main';
  const html = `<!doctype html>
<html lang="${escapeHtml(document.language)}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
${headOf(document, take)}  <link rel="stylesheet" href="style.css">
${enlarges ? ENLARGE_LINK : ''}</head>
<body>
${heading}  <${whole} class="collection" data-grid="collection"${attributesHtml(scrolling(document, null))}>
${tiles.map((tile) => `    ${tile}`).join('\n')}
  </${whole}>
${enlarges ? ENLARGED_HTML : ''}</body>
</html>
`;
  const files = {
    'index.html': html,
    'style.css': withFaces(css, faces),
    ...(enlarges && { 'enlarge.js': ENLARGE_SCRIPT }),
  };
  return { files, assets: [...assets.values(), ...fontAssets(document, html)] };
}
