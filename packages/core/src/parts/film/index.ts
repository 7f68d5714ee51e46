import { oneOf, orNull } from '../../document/checks.js';
import { id, point, words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import { captionOf, mediaCss } from '../shared/media.js';
import { pointCss } from '../../look/groundCss.js';
import { videoOf } from './html.js';
import type { FilmPart } from '../../document/types.js';
import type { Rule } from '../../engine/css/rule.js';
import type { PartKind, RulesInput } from '../part.js';

/** A film lies over its poster, which is seen by those who asked for less motion. */
export function filmRules(part: FilmPart, { known, tile, image, at }: RulesInput): Rule[] {
  const poster = part.poster === null ? undefined : known.pictures[part.poster];
  const where = pointCss(part.focalPoint);
  return [
    { selector: `${at} > video`, declarations: { 'object-position': where } },
    ...(poster
      ? [{ selector: at, declarations: { background: `${image(poster, tile)} ${where} / cover no-repeat` } }]
      : []),
  ];
}

export const film: PartKind<FilmPart> = {
  name: 'film',
  called: 'A film',
  fields: {
    film: orNull(id),
    poster: orNull(id),
    focalPoint: point,
    caption: words,
    playback: oneOf(['automatic', 'controls'], 'The playback of a film'),
  },
  empty: { film: null, poster: null, focalPoint: { x: 0.5, y: 0.5 }, caption: '', playback: 'automatic' },
  html: (part, { document, tile, sources, attributes: own }) => {
    const video = videoOf(part, document, tile, sources);
    return video ? [element('figure', { class: 'film', ...own }, [video, captionOf(part, sources)])] : [];
  },
  css: mediaCss,
  rules: filmRules,
  least: 'nothing',
  weight: 3,
  isExtra: true,
  slots: [
    { field: 'film', name: 'Film', holds: 'other' },
    { field: 'poster', name: 'Poster', holds: 'other' },
    { field: 'caption', name: 'Caption', holds: 'words' },
    { field: 'focalPoint', name: 'Focal point', holds: 'other' },
  ],
  refer: (part, to) => ({
    ...part,
    film: part.film === null ? null : to('film', part.film),
    poster: part.poster === null ? null : to('picture', part.poster),
  }),
  calls: ({ film: shown }, { films }) => (shown === null ? '' : (films?.[shown]?.name ?? '')),
  over: ({ caption }) => caption,
};
