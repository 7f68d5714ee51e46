export { ComposeScreen } from './ComposeScreen';
export { PackedFigure } from './PackedFigure';
export { StagePage } from './stage/StagePage';
export { RecipePreview } from './recipes/RecipePreview';
export { CommandList } from './CommandList';
export { KeySheet } from './KeySheet';
export { Belt } from './belt/Belt';
export { WidthRuler } from './ruler/WidthRuler';
export { Settings } from './settings/Settings';
export { TileHands } from './stage/TileHands';
export { Holes } from './stage/Holes';
export { Ground } from './stage/Ground';
export { useKeys } from './useKeys';
export { showFinding } from './actions';
export { needleMoved, widthsAdded } from './composeSlice';
export {
  selectBands,
  selectInHand,
  selectLayout,
  selectLevel,
  selectNeedle,
  selectOrigin,
} from './selectors';
export { toAxis, fromAxis, axisFigures } from './ruler/axis';
export { boxStyle } from './stage/space';
