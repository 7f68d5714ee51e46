import { number, oneOf, orNull, text } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import { id, point, tint, words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import { captionOf, mediaCss } from '../shared/media.js';
import { enlargeButton, imageOf } from './html.js';
import { pictureRules } from './rules.js';
import type { PicturePart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const picture: PartKind<PicturePart> = {
  name: 'picture',
  called: 'A picture',
  fields: {
    picture: orNull(id),
    focalPoint: point,
    caption: words,
    fit: oneOf(['cover', 'contain'], 'The fit of a picture'),
    zoom: number(1, LIMITS.zoom, 'A zoom'),
    position: point,
    tint,
    enlarges: text(60, 'The name of a set of pictures', 1),
  },
  optional: ['fit', 'zoom', 'position', 'tint', 'enlarges'],
  empty: { picture: null, focalPoint: { x: 0.5, y: 0.5 }, caption: '' },
  html: (part, { document, tile, sources, attributes: own }) => {
    const asset = part.picture === null ? undefined : document.pictures[part.picture];
    if (!asset) return [];
    const inside = [
      imageOf(document, tile, asset, sources.picture(asset, tile)),
      captionOf(part, sources),
      enlargeButton(tile, part, asset),
    ];
    return [element('figure', { class: 'picture', ...own }, inside)];
  },
  css: mediaCss,
  rules: pictureRules,
  least: 'nothing',
  weight: 3,
  isExtra: true,
  slots: [
    { field: 'picture', name: 'Picture', holds: 'picture', likely: /image|photo|file/i },
    { field: 'caption', name: 'Caption', holds: 'words' },
    { field: 'focalPoint', name: 'Focal point', holds: 'other' },
  ],
  refer: (part, to) => (part.picture === null ? part : { ...part, picture: to('picture', part.picture) }),
  looks: ({ tint: own }) => (own ? [own] : []),
  calls: ({ picture: shown }, { pictures }) => {
    const asset = shown === null ? undefined : pictures[shown];
    return asset ? asset.alternativeText.trim() || asset.name : '';
  },
  over: ({ caption }) => caption,
};
