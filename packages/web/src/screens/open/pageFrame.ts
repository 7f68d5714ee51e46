import { resolved } from '@noria/core';
import { ADDRESS, type OpenedPage, type ReadGrid } from './readFiles';

/** Nothing runs in the page, and nothing is fetched but what came with it. */
const POLICY =
  "default-src 'none'; img-src blob: data:; media-src blob:; font-src blob: data:; style-src 'unsafe-inline'";
/** What runs, what brings another page, and what changes where addresses lead. */
const NOT_SHOWN = 'script, iframe, frame, object, embed, portal, base, meta[http-equiv]';
const IMPORT = /@import\b[^;]*;?/gi;
/** Where nothing is. */
const NOTHING = 'data:,';
/** The attribute that says which tile an element became. */
export const MARK = 'data-noria-tile';

/**
 * A page that was opened as one text for a frame, its style sheets in it, its tiles marked.
 * @param addressOf where the frame finds a file
 */
export function pageFrame(
  { html, sheets, beside }: Pick<OpenedPage, 'html' | 'sheets' | 'beside'>,
  { starts }: Pick<ReadGrid, 'starts'>,
  addressOf: (file: File) => string,
): string {
  const page = new DOMParser().parseFromString(marked(html, starts), 'text/html');
  for (const each of page.querySelectorAll(NOT_SHOWN)) each.remove();
  const at = (address: string) => {
    const file = beside[address.trim()];
    if (file) return addressOf(file);
    return /^(data:|#)/i.test(address.trim()) ? address : NOTHING;
  };
  const styled = (css: string, from = '') =>
    css
      .replace(IMPORT, '')
      .replace(ADDRESS, (_, quote: string, url: string) => `url(${quote}${at(resolved(url, from))}${quote})`);
  for (const element of page.querySelectorAll('*')) {
    for (const { name } of [...element.attributes]) if (/^on/i.test(name)) element.removeAttribute(name);
    for (const name of ['src', 'poster']) {
      const address = element.getAttribute(name);
      if (address !== null) element.setAttribute(name, at(address));
    }
    const set = element.getAttribute('srcset');
    if (set !== null) element.setAttribute('srcset', eachIn(set, at));
    const style = element.getAttribute('style');
    if (style !== null) element.setAttribute('style', styled(style));
  }
  for (const style of page.querySelectorAll('style')) style.textContent = styled(style.textContent);
  for (const link of page.querySelectorAll('link')) {
    const href = link.getAttribute('href') ?? '';
    const css = sheets[href];
    if (css === undefined || !/(^|\s)stylesheet(\s|$)/i.test(link.rel)) link.remove();
    else {
      const style = page.createElement('style');
      if (link.media !== '') style.media = link.media;
      style.textContent = styled(css, href);
      link.replaceWith(style);
    }
  }
  const policy = page.createElement('meta');
  policy.httpEquiv = 'Content-Security-Policy';
  policy.content = POLICY;
  const base = page.createElement('base');
  // A frame may open no other window, so a link leads nowhere.
  base.target = '_blank';
  page.head.prepend(policy, base);
  // A part of a page has no body of its own to be away from the edges.
  if (!/<body[\s>]/i.test(html)) page.body.style.margin = '0';
  return `${page.doctype ? '<!doctype html>' : ''}${page.documentElement.outerHTML}`;
}

/** The page with each tile saying which it is. */
function marked(html: string, starts: ReadGrid['starts']): string {
  const places = Object.entries(starts).toSorted(([, a], [, b]) => b - a);
  return places.reduce((text, [id, start]) => {
    const tag = /^<[a-z][^\s/>]*/i.exec(text.slice(start, start + 80))?.[0];
    if (tag === undefined) return text;
    const end = start + tag.length;
    return `${text.slice(0, end)} ${MARK}="${id}"${text.slice(end)}`;
  }, html);
}

/** A set of sources with other addresses. */
const eachIn = (set: string, at: (address: string) => string) =>
  set
    .split(/,\s+/)
    .map((candidate) => candidate.trim().replace(/^\S+/, at))
    .join(', ');
