import { distinctColours, type CollectionDocument } from '@noria/core';
import type { Swatch } from '../../ui/Swatches';

/** As many as fit in two rows. */
export const MOST_SWATCHES = 16;

/** Colours of ours to begin with, by what they are of. */
const READY = [
  ['Fjord', '#2f6d6a'],
  ['Larch', '#c2672f'],
  ['Lichen', '#8d9a3f'],
  ['Heather', '#80618f'],
  ['Glacier', '#6fa3bd'],
  ['Rowan', '#b23a48'],
  ['Straw', '#d9b25f'],
  ['Slate', '#47545c'],
] as const;

const toSwatch = (colour: string, chosen: string, name = colour): Swatch => ({
  value: colour,
  colour,
  name,
  isChosen: colour === chosen,
});

/** Ready colours to begin with. */
export const readyColours = (chosen: string): Swatch[] =>
  READY.map(([name, colour]) => toSwatch(colour, chosen, name));

/** The colours of a collection’s pictures that look different, those of the first pictures first. */
export const pictureColours = (
  { pictures }: Pick<CollectionDocument, 'pictures'>,
  chosen: string,
): Swatch[] =>
  distinctColours(
    Object.values(pictures).flatMap(({ colours = [] }) => colours),
    MOST_SWATCHES,
  ).map((colour) => toSwatch(colour, chosen));
