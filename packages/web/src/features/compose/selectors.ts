import { createSelector } from '@reduxjs/toolkit';
import { bandAt, bandsOf, layoutCollection, type Layout, type Tile } from '@noria/core';
import { selectShown } from '../document';
import type { RootState } from '../../store/store';

export const selectNeedle = ({ compose }: RootState) => compose.needle;
export const selectSetFor = ({ compose }: RootState) => compose.setFor;
const selectHand = ({ compose }: RootState) => compose.inHand;

export const selectBands = createSelector([selectShown], bandsOf);
export const selectBand = createSelector([selectShown, selectNeedle], bandAt);
export const selectLayout = createSelector([selectShown, selectNeedle], layoutCollection);

/** The tiles in hand that are still there, in the order they were taken. */
export const selectInHand = createSelector([selectShown, selectHand], (document, ids): readonly Tile[] =>
  ids.flatMap((id) => document.tiles[id] ?? []),
);

/** A layout of each band, at its narrowest width, for what does not depend on the width. */
export const selectBandLayouts = createSelector(
  [selectShown, selectBands],
  (document, bands): readonly Layout[] =>
    bands.map((band) => layoutCollection(document, Math.max(240, band.from))),
);
