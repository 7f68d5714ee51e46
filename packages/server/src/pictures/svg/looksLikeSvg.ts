export const MOST_SVG_BYTES = 2 * 1024 * 1024;

/** How much of a file's beginning tells whether it is an SVG. */
export const SVG_BEGINNING = 4096;

/** What ends a comment, a document type or a declaration; null when the text begins with none. */
function endOf(text: string): string | null {
  if (text.startsWith('<!--')) return '-->';
  // A document type may hold declarations of its own.
  if (/^<!DOCTYPE[^>[]*\[/i.test(text)) return ']>';
  return /^<[?!]/.test(text) ? '>' : null;
}

/**
 * Whether bytes are the text of an SVG, as far as their beginning tells: what comes before the root
 * element is white space, a declaration, comments and a document type.
 */
export function looksLikeSvg(bytes: Buffer): boolean {
  let text = bytes
    .subarray(0, SVG_BEGINNING)
    .toString('utf8')
    .replace(/^\uFEFF/, '')
    .trimStart();
  for (;;) {
    const end = endOf(text);
    if (end === null) return /^<svg[\s>/]/i.test(text) || /^<svg$/i.test(text);
    const at = text.indexOf(end);
    if (at < 0) return false;
    text = text.slice(at + end.length).trimStart();
  }
}
