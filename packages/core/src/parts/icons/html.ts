import { escapeHtml, hrefOf } from '../../engine/css/escape.js';
import type { CollectionDocument, IconAsset, IconsPart } from '../../document/types.js';
import type { Sources } from '../part.js';

/** A row's icons as the entries of a list. */
export function itemsHtml(
  { icons, size, showLabels }: IconsPart,
  document: CollectionDocument,
  sources: Sources,
): string {
  const items = icons.map(({ icon, picture, label, address }) => {
    const asset = picture === null ? undefined : document.pictures[picture];
    const drawn = icon === null ? undefined : document.icons?.[icon];
    const width = asset ? (size * asset.inlineSize) / asset.blockSize : size;
    const shown = asset
      ? `<img src="${escapeHtml(sources.small(asset, width))}" width="${Math.round(width)}" height="${size}" alt="">`
      : drawn
        ? iconHtml(drawn, size)
        : '';
    const words =
      label &&
      (showLabels ? `<span>${escapeHtml(label)}</span>` : `<span class="unseen">${escapeHtml(label)}</span>`);
    const inner = `${shown}${words}`;
    return `<li>${address ? `<a href="${hrefOf(address)}">${inner}</a>` : inner}</li>`;
  });
  return items.join('');
}

/** Icons are drawn with strokes of the ink's colour. */
function iconHtml({ shapes }: IconAsset, size: number): string {
  const drawn = shapes.map(([name, attributes]) => {
    const all = Object.entries(attributes).map(([key, value]) => ` ${key}="${escapeHtml(value)}"`);
    return `<${name}${all.join('')}></${name}>`;
  });
  return `<svg width="${size}" height="${size}" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.75" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">${drawn.join('')}</svg>`;
}
