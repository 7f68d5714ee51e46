import type { Config as PurifyConfig } from 'dompurify';

/** What CSS in a drawing may call. Everything else could load something, under whatever name. */
const FUNCTIONS: ReadonlySet<string> = new Set(
  [
    'rgb rgba hsl hsla hwb lab lch oklab oklch color color-mix light-dark',
    'translate translatex translatey translate3d scale scalex scaley rotate skew skewx skewy matrix matrix3d',
    'calc min max clamp var cubic-bezier steps linear',
    'blur brightness contrast drop-shadow grayscale hue-rotate invert opacity saturate sepia',
    'linear-gradient radial-gradient circle ellipse inset polygon path polyline not is where nth-child',
  ].flatMap((names) => names.split(' ')),
);

/**
 * Whether CSS, or the value of an attribute, could reach out of the drawing. Escapes would hide a name,
 * and nobody needs them here; a rule at the top of a sheet may load another; any function but the
 * known ones may load, `url()` only with a part of the drawing itself.
 */
function reachesOut(text: string): boolean {
  if (text.includes('\\') || /@(?!media|supports|keyframes)/i.test(text)) return true;
  const words = text.replace(/\/\*[\s\S]*?\*\//g, ' ');
  for (const [, name = '', argument = ''] of words.matchAll(/([a-z-][\w-]*)\s*\(\s*(['"]?.?)/gi)) {
    if (FUNCTIONS.has(name.toLowerCase())) continue;
    if (name.toLowerCase() === 'url' && argument.replace(/['"]/, '').startsWith('#')) continue;
    return true;
  }
  return false;
}

/** Attributes whose words are an address, in any namespace. */
const isReference = (name: string) => /(^|:)(href|src|srcset|data|action|base|ping|poster)$/i.test(name);
/** Words that are read out or drawn, not worked with. */
const isPlain = (name: string) => /^(id|class|d|points|viewbox|aria-.*|role|title|lang)$/i.test(name);

const ALLOWED: PurifyConfig = {
  USE_PROFILES: { svg: true, svgFilters: true },
  FORBID_TAGS: ['script', 'foreignObject', 'a', 'image', 'feImage', 'animate', 'set', 'handler'],
  // Programs note where a file lay, and when, in attributes and namespaces of their own.
  ALLOW_DATA_ATTR: false,
};

/**
 * An SVG without anything that runs, loads, leads elsewhere, or says where it was made.
 * @returns its text; null when nothing of a drawing is left
 */
export async function safeSvg(svg: string): Promise<string | null> {
  const { default: purify } = await import('isomorphic-dompurify');
  purify.addHook('uponSanitizeAttribute', (_, attribute) => {
    const value = attribute.attrValue.trim();
    const name = attribute.attrName;
    if (isReference(name) ? !value.startsWith('#') : !isPlain(name) && reachesOut(value))
      attribute.keepAttr = false;
  });
  purify.addHook('uponSanitizeElement', (node, { tagName }) => {
    // Taken out with all that is in it: others leave their contents behind.
    if (tagName === 'metadata') node.parentNode?.removeChild(node);
    if (tagName === 'style' && reachesOut(node.textContent ?? '')) node.parentNode?.removeChild(node);
  });
  try {
    const text = purify.sanitize(svg, ALLOWED);
    const at = text.search(/<svg[\s>]/i);
    return at >= 0 ? text.slice(at) : null;
  } finally {
    purify.removeAllHooks();
  }
}
