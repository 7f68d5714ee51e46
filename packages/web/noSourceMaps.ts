/** In the place of what makes source maps, which css-tree's generator brings along and nobody here asks for. */
export class SourceMapGenerator {
  constructor() {
    throw new Error('Noria writes no source maps.');
  }
}
