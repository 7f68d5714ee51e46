import type { CssNode } from 'css-tree';

/** Whether an address stands by itself, wherever it is written: with a scheme, of another host, from the root, or a part of the page. */
const isWhole = (address: string) => /^([a-z][a-z\d+.-]*:|\/|#)/i.test(address);

/**
 * An address as it is written in a file, from where that file is found (RFC 3986, section 5.2).
 * @param from address of the file
 * @returns the address from where the file's own is; `..` that lead out of there are kept
 */
export function resolved(address: string, from: string): string {
  const folder = from.replace(/[?#].*$/, '').replace(/[^/]*$/, '');
  if (address === '' || folder === '' || isWhole(address)) return address;
  const [, scheme = '', path = ''] =
    /^((?:[a-z][a-z\d+.-]*:)?\/*(?:(?<=\/\/)[^/]*\/)?)(.*)$/i.exec(folder) ?? [];
  const steps: string[] = [];
  for (const step of `${path}${address}`.split('/')) {
    if (step === '.') continue;
    const last = steps.at(-1);
    if (step === '..' && last !== undefined && last !== '..') steps.pop();
    else steps.push(step);
  }
  return `${scheme}${steps.join('/')}`;
}

/** Addresses in a style sheet count from there: makes them count from the page that links to it (CSS Values 4, section 4.5.1). */
export function rebase(node: CssNode, sheet: string): void {
  if (node.type === 'Url') node.value = resolved(node.value, sheet);
  for (const within of ['children', 'block', 'value'] as const) {
    const inner = within in node ? (node as unknown as Record<string, unknown>)[within] : null;
    if (inner === null || typeof inner !== 'object') continue;
    if ('forEach' in inner)
      (inner as { forEach: (visit: (each: CssNode) => void) => void }).forEach((each) => rebase(each, sheet));
    else rebase(inner as CssNode, sheet);
  }
}

/** A file that is written into an address: its kind, and its bytes in base64 or percent-encoded (RFC 2397). */
export interface DataAddress {
  readonly mediaType: string;
  readonly isBase64: boolean;
  readonly data: string;
}

/** What a `data:` address holds; null for any other. */
export function readDataAddress(address: string): DataAddress | null {
  const comma = address.indexOf(',');
  if (comma < 0 || !/^data:/i.test(address)) return null;
  const [mediaType = '', ...parameters] = address.slice('data:'.length, comma).toLowerCase().split(';');
  return {
    mediaType: mediaType.trim(),
    isBase64: parameters.some((each) => each.trim() === 'base64'),
    data: address.slice(comma + 1),
  };
}
