import { MOST_SVG_BYTES } from './looksLikeSvg.js';

const MOST_ELEMENTS = 20_000;
const MOST_DEPTH = 64;
const MOST_ATTRIBUTES = 60_000;
/** Each of these is computed for every px it covers. */
const MOST_FILTERS = 100;

/**
 * What of an SVG's text is more than is read, in words; null when it is within bounds. It looks at every
 * character once, so it takes as long as the text is, whatever is in it.
 */
export function svgOutOfBounds(text: string): string | null {
  if (text.length > MOST_SVG_BYTES)
    return `As an SVG it has ${text.length} bytes; at most ${MOST_SVG_BYTES} are read.`;
  if (/<!ENTITY/i.test(text)) return 'It declares entities, which are not read. Save it without them.';
  let [elements, attributes, filters] = [0, 0, 0];
  const open: string[] = [];
  let close = -1;
  for (const { 0: tag, 1: name = '', index } of text.matchAll(/<\/?([a-z][\w:.-]{0,40})|=/gi)) {
    if (tag === '=') attributes++;
    else if (tag.startsWith('</')) {
      const at = open.lastIndexOf(name);
      if (at >= 0) open.length = at;
    } else {
      elements++;
      if (name.startsWith('fe')) filters++;
      if (close < index) close = text.indexOf('>', index);
      if (close < 0) break;
      if (text[close - 1] !== '/') open.push(name);
      if (open.length > MOST_DEPTH)
        return `Its elements lie more than ${MOST_DEPTH} deep. Flatten its groups.`;
    }
  }
  if (elements > MOST_ELEMENTS) return tooMany(elements, 'elements', MOST_ELEMENTS);
  if (attributes > MOST_ATTRIBUTES) return tooMany(attributes, 'attributes', MOST_ATTRIBUTES);
  if (filters > MOST_FILTERS) return tooMany(filters, 'filters', MOST_FILTERS);
  return null;
}

const tooMany = (count: number, what: string, most: number) =>
  `It has ${count} ${what}; at most ${most} are read. Simplify it, or save it as a PNG.`;
