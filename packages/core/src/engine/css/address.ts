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

/** An address is no longer than this, in characters. */
const LONGEST = 2000;

/** Whether a link may lead there: the web, mail, a telephone, a part of the page, a relative address. */
export const isAddress = (text: string): boolean => text.length <= LONGEST && readAddress(text) === text;

/**
 * An address as somebody types it: a place on the web may lack its scheme (`www.…`), and so may one of mail.
 * @returns the whole address, or why no link may lead there and what to do
 */
export function typedAddress(
  text: string,
):
  | { readonly address: string; readonly trouble?: never }
  | { readonly address?: never; readonly trouble: string } {
  const typed = text.trim();
  if (typed.length > LONGEST)
    return { trouble: `An address has at most ${LONGEST} characters; this one has ${typed.length}.` };
  // eslint-disable-next-line no-control-regex -- nobody can type them, or see that they are there
  if (/[\u0000-\u001f\u007f]/.test(typed))
    return { trouble: 'There is a character in it that nobody can see. Type the address anew.' };
  const read = readAddress(typed);
  if (read === null)
    return {
      trouble: `“${typed.slice(0, typed.indexOf(':') + 1)}” may open a program or run something. Write https://…, mailto:, tel:, #part or a relative address.`,
    };
  if (/^www\.[^\s/]+\.[^\s]+$/i.test(read)) return { address: `https://${read}` };
  if (/^[^\s@/?#:]+@[^\s@/?#:]+\.[a-z]{2,}$/i.test(read)) return { address: `mailto:${read}` };
  return { address: read };
}
