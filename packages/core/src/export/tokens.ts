import { fragmentId } from './fragment/writeFragment.js';
import { toDesignTokens } from '../look/designTokens.js';
import type { CollectionDocument } from '../document/types.js';
import type { Page } from './page/writePage.js';

/**
 * The named looks of a collection as design tokens.
 * @returns `<name>.tokens.json`
 */
export const writeTokens = (document: CollectionDocument): Page => ({
  files: {
    [`${fragmentId(document)}.tokens.json`]: `${JSON.stringify(toDesignTokens(document.namedLooks ?? {}), null, 2)}\n`,
  },
  assets: [],
});
