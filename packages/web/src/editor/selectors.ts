import { createSelector } from '@reduxjs/toolkit';
import {
  resolvedBandAt,
  resolvedBands,
  columnCountOf,
  lookedAt,
  layoutCollection,
  levelLayout,
  levelOf,
  measured,
  type ResolvedBand,
  type CollectionDocument,
  type Layout,
  type Level,
  type Tile,
  type TileId,
} from '@noria/core';
import { selectFontsCame } from './engine/fontsSlice';
import { measurer } from './engine/measurer';
import { selectSaved, selectShown } from './document/selectors';
import type { RootState } from './state';

export const selectNeedle = ({ editor }: RootState) => editor.needle;
export const selectSetFor = ({ editor }: RootState) => editor.setFor;
const selectSelectedIds = ({ editor }: RootState) => editor.selected;

/** The groups that one is in, outermost first, as far as they are still there. */
export const selectTrail = createSelector(
  [selectShown, ({ editor }: RootState) => editor.trail],
  (document, trail): readonly TileId[] => {
    const valid: TileId[] = [];
    for (const id of trail) {
      const inside = valid.length === 0 ? document.order : orderOf(document, valid.at(-1));
      if (document.tiles[id]?.kind !== 'group' || !inside.includes(id)) break;
      valid.push(id);
    }
    return valid;
  },
);

function orderOf({ tiles }: CollectionDocument, id: TileId | undefined): readonly TileId[] {
  const tile = id === undefined ? undefined : tiles[id];
  return tile?.kind === 'group' ? tile.order : [];
}

export const selectLevel = createSelector([selectTrail], (trail): Level => trail.at(-1) ?? null);

/** The collection, or the group that one is in as a collection of its own. */
export const selectView = createSelector([selectShown, selectLevel], levelOf);

/** The same without what a gesture under way would make of it. */
export const selectSavedView = createSelector([selectSaved, selectLevel], (document, level) =>
  level === null || document.tiles[level]?.kind === 'group' ? levelOf(document, level) : document,
);

/** Bands are small, and stay the same objects while tiles are moved, so that what shows them rests. */
const unlessChanged = {
  memoizeOptions: {
    resultEqualityCheck: (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b),
  },
};

export const selectBands = createSelector([selectShown], resolvedBands, unlessChanged);
/** How often fonts came says which measurer there is. */
const layOut = (document: CollectionDocument, width: number, _fontsCame: number): Layout =>
  layoutCollection(document, width, { measurer: measurer() });

/** The whole page at the needle. */
export const selectWhole = createSelector([selectShown, selectNeedle, selectFontsCame], layOut);

const selectLevelLayout = createSelector([selectWhole, selectLevel], (whole, level) =>
  levelLayout(whole, level),
);

/** The layout of the level that one is on. */
export const selectLayout = createSelector(
  [selectLevelLayout, selectWhole],
  (found, whole) => found?.layout ?? whole,
);

/**
 * The band of the needle, with the arrangement of the level that one is on. How many columns fit a
 * group is known from its layout.
 */
export const selectBand = createSelector(
  [selectView, selectNeedle, selectLevel, (state: RootState) => selectLayout(state).columns.length],
  (view, needle, level, columns): ResolvedBand => {
    const band = resolvedBandAt(view, needle);
    if (level === null || columnCountOf(band.arrangement) === null) return band;
    return { ...band, columns: Array.from({ length: columns }, () => '1fr') };
  },
  unlessChanged,
);

/** The arrangement of that band with its lengths in px, as they are at the width shown. */
export const selectFrame = createSelector([selectBand, selectNeedle], ({ arrangement }, needle) =>
  measured(arrangement, needle),
);

/** Where that level’s border box lies in the whole grid’s, px. */
export const selectOrigin = createSelector([selectLevelLayout], (found) => ({
  x: found?.x ?? 0,
  y: found?.y ?? 0,
}));

/** The selected tiles that are on this level, in the order they were taken. */
export const selectSelected = createSelector([selectView, selectSelectedIds], (view, ids): readonly Tile[] =>
  ids.flatMap((id) => (view.order.includes(id) ? (view.tiles[id] ?? []) : [])),
);

/** The collection with the looks that it has in the band of the needle. */
export const selectLooks = createSelector(
  [selectShown, (state: RootState) => selectBand(state).index],
  lookedAt,
);

/** What looks and contents refer to. It stays the same object while tiles are only moved. */
export const selectShared = createSelector(
  [
    (state: RootState) => selectShown(state).look,
    (state: RootState) => selectShown(state).namedLooks,
    (state: RootState) => selectShown(state).pictures,
    (state: RootState) => selectShown(state).films,
    (state: RootState) => selectShown(state).icons,
    (state: RootState) => selectShown(state).recipes,
    (state: RootState) => selectShown(state).styles,
    (state: RootState) => selectShown(state).families,
  ],
  (look, namedLooks = {}, pictures, films = {}, icons = {}, recipes = {}, styles = {}, families = {}) => ({
    look,
    namedLooks,
    pictures,
    films,
    icons,
    recipes,
    styles,
    families,
  }),
);
