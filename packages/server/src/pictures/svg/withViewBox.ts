const ROOT = /<svg\b[^>]*>/;
const PIXELS = (name: string) => new RegExp(`\\s${name}="\\s*(\\d+(?:\\.\\d+)?)(?:px)?\\s*"`);

/**
 * A drawing that says what of it is seen, so that it is scaled wherever it is drawn larger or smaller, and not cut:
 * one that only says how large it is, in px, shows all of that (SVG 2, section 8.6).
 */
export function withViewBox(svg: string): string {
  const [root] = ROOT.exec(svg) ?? [];
  if (root === undefined || /\sviewBox=/.test(root)) return svg;
  const [width, height] = ['width', 'height'].map((name) => PIXELS(name).exec(root)?.[1]);
  if (width === undefined || height === undefined) return svg;
  return svg.replace(root, () => root.replace('<svg', `<svg viewBox="0 0 ${width} ${height}"`));
}
