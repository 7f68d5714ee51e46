/** What packages bring along and nobody here asks for, each in the place of a package. */

/** Of css-tree’s generator. */
export function SourceMapGenerator(): never {
  throw new Error('Noria writes no source maps.');
}

/** Of domutils, which writes elements as text again. */
export default function render(): never {
  throw new Error('Noria reads no text of elements.');
}
