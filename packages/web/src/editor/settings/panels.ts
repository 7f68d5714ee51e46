import type { ComponentType } from 'react';
import { whenShown } from '../../ui/lazily';
import type { Showing } from '../editorSlice';

/** What is there in place of the settings until it is closed. */
export const PANELS: Readonly<Record<Showing, ComponentType>> = {
  gaps: whenShown(() => import('../packing/GapsPanel').then((file) => file.GapsPanel)),
  proposals: whenShown(() => import('../packing/ProposalsPanel').then((file) => file.ProposalsPanel)),
  looks: whenShown(() => import('../looks/LooksPanel').then((file) => file.LooksPanel)),
  recipes: whenShown(() => import('../recipes/RecipesPanel').then((file) => file.RecipesPanel)),
  table: whenShown(() => import('../tables/TablePanel').then((file) => file.TablePanel)),
  findings: whenShown(() => import('../reflow/FindingsPanel').then((file) => file.FindingsPanel)),
  skeletons: whenShown(() => import('./SkeletonsPanel').then((file) => file.SkeletonsPanel)),
  texts: whenShown(() => import('../pictures/TextsPanel').then((file) => file.TextsPanel)),
  band: whenShown(() => import('../reflow/BandPanel').then((file) => file.BandPanel)),
};
