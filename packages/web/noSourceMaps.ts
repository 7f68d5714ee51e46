/** In the place of what makes source maps, which css-tree’s generator brings along and nobody here asks for. */
export function SourceMapGenerator(): never {
  throw new Error('Noria writes no source maps.');
}
