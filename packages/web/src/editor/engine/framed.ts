import type { CollectionDocument, Page, PictureAsset } from '@noria/core';
import { filmAddress } from '../../api/films';
import { fileAddress } from '../../api/pictures';
import { fontAddress, shippedFontAddress } from '../../api/fonts';

/**
 * The page of a collection as one text, its pictures, films and fonts at the addresses that Noria has them at.
 * @param pictureAddress where a picture is that may be nowhere yet; left out: in the library
 */
export function framedPage(
  document: CollectionDocument,
  { files, assets }: Page,
  pictureAddress: (picture: PictureAsset, inlineSize: number) => string = fileAddress,
): string {
  const addresses = new Map<string, string>();
  for (const asset of assets) {
    if (asset.kind === 'font') addresses.set(asset.path, shippedFontAddress(asset.file));
    else if (asset.kind === 'ownFont') addresses.set(asset.path, fontAddress(asset.face));
    else if (asset.kind === 'film') {
      const film = document.films?.[asset.film];
      if (film) addresses.set(asset.path, filmAddress(film));
    } else {
      const picture = document.pictures[asset.picture];
      if (picture) addresses.set(asset.path, pictureAddress(picture, asset.inlineSize));
    }
  }
  const at = (text: string) =>
    text.replace(/\b(?:pictures|films|fonts)\/[^"'\s,)&]+/g, (path) => addresses.get(path) ?? path);
  return (
    at(files['index.html'] ?? '')
      // A frame may open no other window, so a link leads nowhere.
      .replace(
        '<link rel="stylesheet" href="style.css">',
        // No rule of ours holds `</`; it must not end the style sheet if ever one does.
        () => `<base target="_blank"><style>${at(files['style.css'] ?? '').replaceAll('</', '<\\/')}</style>`,
      )
      .replace('src="enlarge.js"', 'src="/enlarge.js"')
  );
}
