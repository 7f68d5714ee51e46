import { groundImages } from './groundImages.js';
import { pictureSizes, pictureVariants } from './pictureSizes.js';
import { hasEnlarged, withEnlarged } from '../../parts/enlarge.js';
import { ENLARGED_HTML, ENLARGE_SCRIPT } from './enlargeParts.js';
import { htmlOf, type PageElement } from '../../engine/html/node.js';
import { levelTile } from '../../parts/tileHtml.js';
import { isDrawing, variantPath } from '../../parts/variants.js';
import { callByNames } from '../../edit/commands/namedLooks.js';
import { change } from '../../edit/patch/change.js';
import { escapeHtml } from '../../engine/css/escape.js';
import { familiesOf } from '../../parts/families.js';
import { fontFaces, type Face } from './fonts.js';
import { hasMainHeading } from '../../parts/headings.js';
import { asLandmark, landmarksOf } from './landmarks.js';
import type { Landmark } from '../../document/page.js';
import { pageCss } from './pageCss.js';
import { tidied } from '../sheet/index.js';
import type { PageAsset } from './assets.js';
import type { CollectionDocument, PictureAsset } from '../../document/types.js';
import type { Sources } from '../../parts/part.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What every form of a page is made of. */
export interface Written {
  /** The collection as it is written: its named looks called by their names, what opens large saying so. */
  readonly document: CollectionDocument;
  /** The style sheet without its fonts. */
  readonly css: string;
  readonly faces: readonly Face[];
  /** The tiles in reading order, a line each. */
  readonly tiles: readonly string[];
  /** Whether one of them is the main part of the page. */
  readonly hasMain: boolean;
  /** The heading of a page whose tiles have none; empty in a part of a page. */
  readonly heading: string;
  readonly enlarges: boolean;
  /** The pictures and films that belong beside it, by path; those of `take` are added. */
  readonly assets: ReadonlyMap<string, PageAsset>;
  /** Says that a picture is used in a size, and answers its path. */
  readonly take: (picture: PictureAsset, inlineSize: number) => string;
}

/** The first picture in reading order is loaded at once, before anything else; the others as they are set. */
function firstEager(nodes: readonly PageElement[][]): PageElement[][] {
  let isFound = false;
  const visit = (node: PageElement): PageElement => {
    if (isFound) return node;
    if (node.name === 'img') {
      isFound = true;
      return { ...node, attributes: { ...node.attributes, loading: undefined, fetchpriority: 'high' } };
    }
    return { ...node, inside: node.inside.map((each) => (typeof each === 'string' ? each : visit(each))) };
  };
  return nodes.map((each) => each.map(visit));
}

/** A heading for those who go by headings, where none is seen. */
const unseenHeading = ({ page, name }: CollectionDocument) =>
  `  <h1 class="unseen">${escapeHtml(page?.title ?? name)}</h1>\n`;

export interface WrittenOptions {
  readonly measurer: TextMeasurer;
  /** The landmarks that are not written: those of the page around. */
  readonly without?: readonly Landmark[];
  /** What addresses of pictures, films and fonts begin with; left out: they lie beside the page. */
  readonly base?: string;
}

/**
 * Writes the tiles of a collection and their style sheet.
 * @throws whatever the measurer throws
 */
export function written(
  collection: CollectionDocument,
  { measurer, without = [], base = '' }: WrittenOptions,
): Written {
  const document = change(withEnlarged(collection), callByNames()).document;
  const assets = new Map<string, PageAsset>();
  const take = (picture: PictureAsset, inlineSize: number) => {
    const path = variantPath(picture, inlineSize);
    assets.set(path, { path, kind: 'picture', picture: picture.id, inlineSize });
    return `${base}${path}`;
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
      return `${base}${path}`;
    },
  };
  const landmarks = landmarksOf(document);
  const landmarkOf = (id: string) => {
    const landmark = landmarks.get(id);
    return landmark !== undefined && without.includes(landmark) ? undefined : landmark;
  };
  const nodes = document.order.flatMap((id): PageElement[][] => {
    const tile = document.tiles[id];
    const all = tile ? levelTile(document, null, tile, sources) : [];
    const own = all.at(-1);
    return own ? [[...all.slice(0, -1), asLandmark(own, landmarkOf(id))]] : [];
  });
  const enlarges = hasEnlarged(document);
  const needsHeading =
    !without.includes('main') && document.page?.heading !== 'none' && !hasMainHeading(document);
  const heading = needsHeading ? unseenHeading(document) : '';
  const tidy = tidied(document, {
    css: pageCss(document, groundImages(document, measurer, take), measurer),
    nodes: firstEager(nodes),
    beside: {
      html: `${enlarges ? ENLARGED_HTML : ''}${heading}`,
      script: enlarges ? ENLARGE_SCRIPT : '',
    },
  });
  const tiles = tidy.nodes.map((each) => each.map(htmlOf).join(''));
  const words = `${tiles.join('')}${heading}`;
  const faces = familiesOf(document).flatMap((name) => fontFaces(document, name, words));
  return {
    document,
    css: tidy.css,
    faces,
    tiles,
    heading,
    hasMain: nodes.some((each) => each.at(-1)?.name === 'main'),
    enlarges,
    assets,
    take,
  };
}
