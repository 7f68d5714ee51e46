import type { NamedCommand } from './words';

/** What can be done with the selected tiles, as a menu offers it. */
export const TILE_MENU: readonly (readonly NamedCommand[])[] = [
  ['openGroup', 'write', 'duplicate', 'delete'],
  ['replacePicture', 'crop', 'uncrop', 'removePicture'],
  ['pin', 'forward', 'backward', 'earlier', 'later', 'swap'],
  ['group', 'ungroup'],
  ['recipes', 'unlinkRecipe', 'copyLook', 'copySpans'],
  ['selectKind', 'selectRecipe', 'selectSpan', 'selectLook'],
];

/** What can be done with the grid, where no tile lies. */
export const GRID_MENU: readonly (readonly NamedCommand[])[] = [
  ['addColumn', 'addRow', 'evenColumns', 'evenRows'],
  ['closeGaps', 'proposals', 'findings'],
  ['gridLines', 'readingOrder', 'paintAreas'],
  ['selectAll'],
];
