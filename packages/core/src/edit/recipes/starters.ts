import { STARTER_CARDS } from './starterCards.js';
import { STARTER_COMPOSITIONS } from './starterCompositions.js';
import { STARTER_ICONS } from './starterIcons.js';
import { STARTER_TILES } from './starterTiles.js';
import type { Assets } from '../commands/assets.js';
import type { Recipe } from '../../document/types.js';

/** Recipes that every collection can begin with. All of them are drawn for Noria. */
export const STARTERS: readonly Recipe[] = [...STARTER_TILES, ...STARTER_COMPOSITIONS, ...STARTER_CARDS];

/** What a starter shows beside its words. */
export const starterAssets: Assets = {
  pictures: {},
  icons: Object.fromEntries(STARTER_ICONS.map((each) => [each.id, each])),
};
