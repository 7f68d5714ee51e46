import type { Part, PartName } from '@noria/core';
import type { Field } from '../fields/field';
import { PART } from './fields';

/** What parts can be added, in the order of a card, with what each is for. */
export const PART_ABOUT: Readonly<Record<PartName, string>> = {
  eyebrow: 'a few words over a heading',
  heading: 'what the card is about',
  text: 'running words',
  figure: 'a number, large',
  label: 'what a figure counts',
  quote: 'what somebody said',
  source: 'who said it',
  action: 'words that lead somewhere',
  picture: 'from the library',
  film: 'from the library',
  icons: 'icons or logos in a row',
  divider: 'a line across',
  spacer: 'room between parts',
};

/** What a part is called on the screen; one of somebody else’s by its kind. */
export const partName = ({ kind }: Pick<Part, 'kind'>): string =>
  (PART as Readonly<Record<string, Field>>)[kind]?.label ?? kind;
