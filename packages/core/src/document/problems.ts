/** Something the checker has to say about a document. */
export interface Problem {
  /** JSON Pointer (RFC 6901) into the document; empty for the whole. */
  readonly path: string;
  /** An error refuses the document; a notice is kept in it and passed on. */
  readonly severity: 'error' | 'notice';
  /** What is wrong and what to do, in a sentence or two. */
  readonly message: string;
}

/** One segment of a JSON Pointer, escaped. */
export const pointerSegment = (key: string | number) =>
  String(key).replaceAll('~', '~0').replaceAll('/', '~1');

/** The segments of a JSON Pointer, as they were before `pointerSegment`. */
export const pointerSegments = (pointer: string): string[] =>
  pointer.split('/').map((each) => each.replaceAll('~1', '/').replaceAll('~0', '~'));

/** A problem as one line of text: `/tiles/beds/look/fill: …`. */
export const formatProblem = ({ path, message }: Problem) => `${path || '(document)'}: ${message}`;
