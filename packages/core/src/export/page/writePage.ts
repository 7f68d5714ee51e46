import { groundImages } from './groundImages.js';
import { pictureSizes, pictureVariants } from './pictureSizes.js';
import { hasEnlarged, withEnlarged } from '../../parts/enlarge.js';
import { ENLARGE_LINK, ENLARGE_SCRIPT, ENLARGED_HTML } from './enlargeParts.js';
import { escapeHtml } from '../../engine/css/escape.js';
import { attributesHtml, htmlOf } from '../../engine/html/node.js';
import { hasMainHeading } from '../../parts/headings.js';
import { levelTile, scrolling } from '../../parts/tileHtml.js';
import { isDrawing, variantPath } from '../../parts/variants.js';
import { fontAssets } from './fonts.js';
import type { PageAsset } from './assets.js';
import { headOf } from './head.js';
import { asLandmark, landmarksOf } from './landmarks.js';
import { callByNames } from '../../edit/commands/namedLooks.js';
import { change } from '../../edit/patch/change.js';
import { pageCss } from './pageCss.js';
import type { CollectionDocument, PictureAsset } from '../../document/types.js';
import type { Sources } from '../../parts/part.js';
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
  const document = change(withEnlarged(collection), callByNames()).document;
  const enlarges = hasEnlarged(document);
  const assets = new Map<string, PageAsset>();
  const take = (picture: PictureAsset, inlineSize: number) => {
    const path = variantPath(picture, inlineSize);
    assets.set(path, { path, kind: 'picture', picture: picture.id, inlineSize });
    return path;
  };
  const sources: Sources = {
    picture: (picture, tile) => {
      const variants = pictureVariants(picture);
      if (isDrawing(picture)) return { src: take(picture, picture.inlineSize) };
      const paths = variants.map((size) => take(picture, size));
      const middle = variants.findLastIndex((size) => size <= 1280);
      return {
        src: paths[Math.max(0, middle)] as string,
        srcset: variants.map((size, k) => `${paths[k]} ${size}w`).join(', '),
        sizes: pictureSizes(document, tile, picture, measurer),
      };
    },
    small: (picture, inlineSize) => {
      const variants = pictureVariants(picture);
      return take(picture, variants.find((size) => size >= 2 * inlineSize) ?? (variants.at(-1) as number));
    },
    film: (film) => {
      const path = `films/${film.file}`;
      assets.set(path, { path, kind: 'film', film: film.id });
      return path;
    },
  };
  const landmarks = landmarksOf(document);
  const written = document.order.flatMap((id) => {
    const tile = document.tiles[id];
    const nodes = tile ? levelTile(document, null, tile, sources) : [];
    const own = nodes.at(-1);
    return own ? [[...nodes.slice(0, -1), asLandmark(own, landmarks.get(id))]] : [];
  });
  const tiles = written.map((nodes) => `    ${nodes.map(htmlOf).join('')}`);
  const whole = written.some((nodes) => nodes.at(-1)?.name === 'main') ? 'div' : 'main';
  const image = groundImages(document, measurer, take);
  const css = pageCss(document, image, measurer);
  const heading = hasMainHeading(document)
    ? ''
    : `  <h1 class="unseen">${escapeHtml(document.page?.title ?? document.name)}</h1>\n`;
  const html = `<!doctype html>
<html lang="${escapeHtml(document.language)}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
${headOf(document, take)}  <link rel="stylesheet" href="style.css">
${enlarges ? ENLARGE_LINK : ''}</head>
<body>
${heading}  <${whole} class="collection" data-grid="collection"${attributesHtml(scrolling(document, null))}>
${tiles.join('\n')}
  </${whole}>
${enlarges ? ENLARGED_HTML : ''}</body>
</html>
`;
  const files = {
    'index.html': html,
    'style.css': css,
    ...(enlarges && { 'enlarge.js': ENLARGE_SCRIPT }),
  };
  return { files, assets: [...assets.values(), ...fontAssets(document, html)] };
}
