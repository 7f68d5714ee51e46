import { element } from '../../engine/html/node.js';
import { measureCss, timesCss } from '../../look/css.js';
import { wordsMark } from './wordsMark.js';
import type { CollectionLook, MediaPart } from '../../document/types.js';
import type { PartCss, Sources } from '../part.js';

/** The caption that lies over a picture or film. */
export const captionOf = (part: MediaPart, sources: Sources) =>
  part.caption !== '' && element('figcaption', wordsMark(part, sources), [part.caption]);

/** Pictures and films fill their place, and have their caption over them: one text for both. */
export const mediaCss = ({ tilePadding }: CollectionLook): PartCss => ({
  fills: `[data-tile]:where(img),
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
`,
  over: `:is(.picture, .film) > figcaption {
  position: absolute;
  inset: auto 0 0;
  padding: 2.4em ${measureCss(tilePadding)} ${timesCss(tilePadding, 0.75)};
  background: linear-gradient(transparent, rgb(0 0 0 / 62%));
  color: #fff;
}
`,
  apart: `.row > figure {
  flex: 1 0 6em;
}
.card > figure {
  inline-size: 100%;
}
:is(.card, .row) > figure {
  min-block-size: 0;
  margin: 0;
  border-radius: ${timesCss(tilePadding, 0.3)};
  overflow: clip;
}
:is(.card, .row) > figure > :is(img, video) {
  block-size: auto;
  max-block-size: 100%;
}
`,
});
