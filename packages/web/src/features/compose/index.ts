export { ComposeScreen } from './ComposeScreen';
export { PackedFigure } from './PackedFigure';
export { StagePage } from './stage/StagePage';
export { RecipePreview } from './recipes/RecipePreview';
