import { LIMITS, type FilmPart, type IconsPart, type Part, type PicturePart } from '@noria/core';
import type { ChoiceField, Field } from '../fields/field';

/** The settings of parts: what a card is made of. */
export const PART = {
  eyebrow: { label: 'Eyebrow' },
  heading: { label: 'Heading' },
  level: { label: 'Level', help: 'Level of the heading in the page' },
  text: { label: 'Text' },
  figure: { label: 'Figure' },
  label: { label: 'Label' },
  quote: { label: 'Quote' },
  source: { label: 'Source' },
  action: { label: 'Action' },
  address: { label: 'Link' },
  icons: { label: 'Icons' },
  iconSize: { label: 'Icon size', unit: 'px', least: 8, most: 200 },
  iconLine: {
    label: 'Lines',
    help: 'One line runs past both edges of the card and fades there; scrolling pauses under the pointer and rests for those who asked for less motion',
    choices: [
      { value: 'wrapped', label: 'Wrapped' },
      { value: 'centred', label: 'One' },
      { value: 'scrolling', label: 'Scrolling' },
    ],
  } satisfies ChoiceField<NonNullable<IconsPart['line']> | 'wrapped'>,
  iconLabels: {
    label: 'Labels',
    choices: [
      { value: 'shown', label: 'Shown' },
      { value: 'read', label: 'Screen readers only' },
    ],
  },
  picture: { label: 'Picture' },
  fit: {
    label: 'Picture fit',
    help: 'Cover: it fills its slot and is cropped. Contain: all of it is seen',
    choices: [
      { value: 'cover', label: 'Cover' },
      { value: 'contain', label: 'Contain' },
    ],
  } satisfies ChoiceField<NonNullable<PicturePart['fit']>>,
  zoom: { label: 'Zoom', unit: '%', least: 100, most: LIMITS.zoom * 100 },
  tint: { label: 'Tint', help: 'A colour or a gradient over the picture' },
  enlarges: {
    label: 'Enlarge',
    help: 'Whether a press opens the picture large: as the collection says, or with the pictures of a set',
    choices: [
      { value: 'all', label: 'As the collection' },
      { value: 'set', label: 'In a set' },
    ],
  },
  caption: { label: 'Caption' },
  alternativeText: { label: 'Alternative text' },
  film: { label: 'Film' },
  focalPoint: { label: 'Focal point', help: 'What stays in view wherever the picture is cropped' },
  poster: { label: 'Poster', help: 'The picture that shows before the film plays' },
  playback: {
    label: 'Playback',
    choices: [
      { value: 'automatic', label: 'Automatic' },
      { value: 'controls', label: 'Controls' },
    ],
  } satisfies ChoiceField<FilmPart['playback']>,
  divider: { label: 'Divider' },
  spacer: { label: 'Spacer', unit: 'px', least: 0, most: LIMITS.padding },
  align: {
    label: 'Alignment of the part',
    choices: [
      { value: 'tile', label: 'As the tile' },
      { value: 'start', label: 'Start' },
      { value: 'center', label: 'Centre' },
      { value: 'end', label: 'End' },
      { value: 'stretch', label: 'Stretch' },
    ],
  } satisfies ChoiceField<NonNullable<Part['align']> | 'tile'>,
} as const satisfies Readonly<Record<string, Field>>;
