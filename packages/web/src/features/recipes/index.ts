export * from './RecipesScreen';
