import { escapeHtml } from './escape.js';
import { FAMILIES } from './families.js';
import { familiesOf, pageCss } from './pageCss.js';
import { pictureSizes, pictureVariants } from './pictureSizes.js';
import { tileHtml } from './tileHtml.js';
import type { TextMeasurer } from '../text/types.js';
import type { CollectionDocument, FamilyName, PictureAsset, PictureId } from '../document/types.js';

/** A file of a page whose bytes the caller has to bring. */
export type PageAsset =
  | {
      readonly path: string;
      readonly kind: 'picture';
      readonly picture: PictureId;
      readonly inlineSize: number;
    }
  | { readonly path: string; readonly kind: 'font'; readonly family: FamilyName; readonly file: string };

export interface Page {
  /** Text files by path: `index.html` and `style.css`. */
  readonly files: Readonly<Record<string, string>>;
  readonly assets: readonly PageAsset[];
}

/** Where a picture variant lies in the page's folder. Variants go out as WebP. */
export function variantPath(picture: PictureAsset, inlineSize: number): string {
  return `pictures/${picture.file.replace(/\.[^.]+$/, '')}-${inlineSize}.webp`;
}

/**
 * Writes a collection as a page: semantic HTML in reading order and a style sheet, no script, and
 * the list of pictures and fonts that belong beside them.
 * @throws whatever the measurer throws
 */
export function writePage(document: CollectionDocument, measurer: TextMeasurer): Page {
  const used = new Set<PictureId>();
  const tiles = document.order.map((id) => {
    const tile = document.tiles[id];
    if (!tile) return '';
    return tileHtml(document, tile, (picture) => {
      used.add(picture.id);
      const variants = pictureVariants(picture);
      return {
        src: variantPath(picture, variants.findLast((size) => size <= 1280) ?? (variants[0] as number)),
        srcset: variants.map((size) => `${variantPath(picture, size)} ${size}w`).join(', '),
        sizes: pictureSizes(document, tile, picture, measurer),
      };
    });
  });
  const html = `<!doctype html>
<html lang="${escapeHtml(document.language)}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${escapeHtml(document.name)}</title>
  <link rel="stylesheet" href="style.css">
</head>
<body>
  <main class="collection" data-grid="collection">
${tiles.map((tile) => `    ${tile}`).join('\n')}
  </main>
</body>
</html>
`;
  const pictures = [...used].flatMap((id): PageAsset[] => {
    const picture = document.pictures[id] as PictureAsset;
    return pictureVariants(picture).map((inlineSize) => ({
      path: variantPath(picture, inlineSize),
      kind: 'picture',
      picture: id,
      inlineSize,
    }));
  });
  const fonts = familiesOf(document).flatMap((family): PageAsset[] =>
    FAMILIES[family].files.map(({ file }) => ({ path: `fonts/${file}`, kind: 'font', family, file })),
  );
  return { files: { 'index.html': html, 'style.css': pageCss(document) }, assets: [...pictures, ...fonts] };
}
