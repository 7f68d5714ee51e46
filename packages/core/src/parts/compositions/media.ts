import { videoOf } from '../film/html.js';
import { filmRules } from '../film/index.js';
import { isBarePicture } from '../picture/bare.js';
import { enlargeButton, imageOf } from '../picture/html.js';
import { pictureRules } from '../picture/rules.js';
import { captionOf } from '../shared/media.js';
import { element, type Attributes } from '../../engine/html/node.js';
import type { FilmPart, PicturePart } from '../../document/types.js';
import type { Start } from '../part.js';

/** The tile itself is the picture, or a figure around it. */
export const picture: Start = {
  name: 'picture',
  className: 'picture',
  title: 'Picture',
  parts: ['picture'],
  flows: false,
  takesTextColour: false,
  isBare: isBarePicture,
  write: ({ document, tile, sources, is, cover, badges }) => {
    const part = tile.parts[0] as PicturePart;
    const asset = part.picture === null ? undefined : document.pictures[part.picture];
    const image = (own?: Attributes) =>
      asset && imageOf(document, tile, asset, sources.picture(asset, tile), own);
    const bare = isBarePicture(tile) ? image(is) : undefined;
    return (
      bare ??
      element('figure', is, [
        image(),
        cover,
        ...badges,
        captionOf(part, sources),
        enlargeButton(tile, part, asset),
      ])
    );
  },
  rules: (tile, input) => pictureRules(tile.parts[0] as PicturePart, input),
};

export const film: Start = {
  name: 'film',
  className: 'film',
  title: 'Film',
  parts: ['film'],
  flows: false,
  takesTextColour: true,
  write: ({ document, tile, sources, is, cover, badges }) => {
    const part = tile.parts[0] as FilmPart;
    const video = videoOf(part, document, tile, sources);
    return element('figure', is, [video, cover, ...badges, captionOf(part, sources)]);
  },
  rules: (tile, input) => filmRules(tile.parts[0] as FilmPart, input),
};
