import { lazy, type ComponentType } from 'react';
import type { Showing } from '../editorSlice';

/** Each panel's script. */
const SCRIPTS: Readonly<Record<Showing, () => Promise<ComponentType>>> = {
  gaps: () => import('../packing/GapsPanel').then((file) => file.GapsPanel),
  proposals: () => import('../packing/ProposalsPanel').then((file) => file.ProposalsPanel),
  looks: () => import('../looks/LooksPanel').then((file) => file.LooksPanel),
  recipes: () => import('../recipes/RecipesPanel').then((file) => file.RecipesPanel),
  table: () => import('../tables/TablePanel').then((file) => file.TablePanel),
  findings: () => import('../reflow/FindingsPanel').then((file) => file.FindingsPanel),
  band: () => import('../reflow/BandPanel').then((file) => file.BandPanel),
};

const panel = (read: () => Promise<ComponentType>) => lazy(async () => ({ default: await read() }));

/** What is there in place of the settings until it is closed. */
export const PANELS: Readonly<Record<Showing, ComponentType>> = {
  gaps: panel(SCRIPTS.gaps),
  proposals: panel(SCRIPTS.proposals),
  looks: panel(SCRIPTS.looks),
  recipes: panel(SCRIPTS.recipes),
  table: panel(SCRIPTS.table),
  findings: panel(SCRIPTS.findings),
  band: panel(SCRIPTS.band),
};

/** Fetches the scripts of all panels while there is time: they open at once, and without a server. */
export const fetchPanels = (): void => {
  for (const read of Object.values(SCRIPTS)) read().catch(() => undefined);
};
