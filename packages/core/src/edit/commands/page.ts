import { LIMITS } from '../../document/limits.js';
import { isPageAddress, landmarkOf, type Landmark, type PageData } from '../../document/page.js';
import type { Command } from '../patch/change.js';

/** Values of the page; undefined: it says nothing of that. */
export type PageValues = { readonly [F in keyof Omit<PageData, 'landmarks'>]?: PageData[F] | undefined };

/**
 * Sets what the page says of itself.
 * @throws RangeError for a title or a description that is too long, and for an address that no page has
 */
export function setPage(values: PageValues): Command {
  return (draft) => {
    const { title = '', description = '', address } = values;
    if (title.length > LIMITS.name) throw new RangeError(`A title has at most ${LIMITS.name} characters.`);
    if (description.length > LIMITS.words)
      throw new RangeError(`A description has at most ${LIMITS.words} characters.`);
    if (address !== undefined && !isPageAddress(address))
      throw new RangeError('A page stands at an address such as https://example.org/huts.');
    const { page = {}, pictures } = draft;
    for (const [field, value] of Object.entries(values) as [keyof PageValues, string | undefined][]) {
      if (value === undefined || value === '') delete page[field];
      else if ((field === 'picture' || field === 'icon') && !Object.hasOwn(pictures, value))
        throw new RangeError(`There is no picture “${value}” in the collection.`);
      else Object.assign(page, { [field]: value });
    }
    if (Object.keys(page).length === 0) delete draft.page;
    else draft.page = page;
  };
}

/** Says what an area is in the page. */
export function setLandmark(area: string, landmark: Landmark): Command {
  return (draft) => {
    const { landmarks: { [area]: _, ...others } = {}, ...page } = draft.page ?? {};
    // What its name says need not be said again.
    const landmarks = landmarkOf(undefined, area) === landmark ? others : { ...others, [area]: landmark };
    const own = { ...page, ...(Object.keys(landmarks).length > 0 && { landmarks }) };
    if (Object.keys(own).length === 0) delete draft.page;
    else draft.page = own;
  };
}

/**
 * Sets the language of the words in the tiles.
 * @param tag a BCP 47 tag
 * @throws RangeError when it is none
 */
export function setLanguage(tag: string): Command {
  return (draft) => {
    draft.language = Intl.getCanonicalLocales(tag)[0] ?? draft.language;
  };
}
