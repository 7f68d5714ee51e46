/** Schemes that a link may have; all others could run something, or open a program. */
const SCHEMES: ReadonlySet<string> = new Set(['https', 'http', 'mailto', 'tel']);

/**
 * An address as a browser reads it: without white space and control characters around it, without tabs
 * and line ends anywhere (URL Standard, section 4.4, basic URL parser, steps 1 to 3).
 * @returns null when it has a scheme that no link may have; what has none is relative, or a part of the page
 */
export function readAddress(text: string): string | null {
  // eslint-disable-next-line no-control-regex -- these are what a browser leaves out
  const read = text.replace(/^[\u0000- ]+|[\u0000- ]+$/g, '').replace(/[\t\n\r]/g, '');
  // eslint-disable-next-line no-control-regex -- nobody can type them, or see that they are there
  if (/[\u0000-\u001f\u007f]/.test(read)) return null;
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(read)?.[1];
  return scheme === undefined || SCHEMES.has(scheme.toLowerCase()) ? read : null;
}

/** Whether a link may lead there: the web, mail, a telephone, a part of the page, a relative address. */
export const isAddress = (text: string): boolean => text.length <= 2000 && readAddress(text) === text;
