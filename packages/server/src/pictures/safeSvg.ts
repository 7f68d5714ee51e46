export const MOST_SVG_BYTES = 2 * 1024 * 1024;

/** Whether bytes are the text of an SVG, as far as their beginning tells. */
export const looksLikeSvg = (bytes: Buffer) =>
  /^\uFEFF?\s*(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*|<!DOCTYPE[^>]*>\s*)*<svg[\s>]/i.test(
    bytes.subarray(0, 4096).toString('utf8'),
  );

/**
 * An SVG without anything that runs, loads or leads elsewhere.
 * @returns its text; null when nothing of a drawing is left
 */
export async function safeSvg(bytes: Buffer): Promise<string | null> {
  const { default: purify } = await import('isomorphic-dompurify');
  purify.addHook('uponSanitizeAttribute', (_, attribute) => {
    const value = attribute.attrValue.trim();
    const isReference = /^(xlink:)?(href|src)$/i.test(attribute.attrName);
    if (isReference ? !value.startsWith('#') : /url\s*\(\s*(?!['"]?#)/i.test(value))
      attribute.keepAttr = false;
  });
  purify.addHook('uponSanitizeElement', (node, { tagName }) => {
    const isLoading = /@import|url\s*\(\s*(?!['"]?#)|\\/i.test(node.textContent ?? '');
    if (tagName === 'style' && isLoading) node.parentNode?.removeChild(node);
  });
  try {
    const text = purify.sanitize(bytes.toString('utf8'), {
      USE_PROFILES: { svg: true, svgFilters: true },
      FORBID_TAGS: ['script', 'foreignObject', 'a', 'image', 'feImage', 'animate', 'set', 'handler'],
    });
    return /<svg[\s>]/i.test(text) ? text.slice(text.search(/<svg[\s>]/i)) : null;
  } finally {
    purify.removeAllHooks();
  }
}
