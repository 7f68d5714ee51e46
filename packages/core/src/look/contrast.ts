/** The channels of `#rrggbb`, 0 to 1. */
const channels = (colour: string) =>
  [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255);

/** Relative luminance of an sRGB colour (WCAG 2.2, definition of “relative luminance”). */
function luminance(colour: string): number {
  const [r = 0, g = 0, b = 0] = channels(colour).map((c) =>
    c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4,
  );
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/**
 * Contrast ratio of two colours, 1 to 21 (WCAG 2.2, definition of “contrast ratio”).
 * @param one, other `#rrggbb`
 * @example contrast('#000000', '#ffffff') // 21
 */
export function contrast(one: string, other: string): number {
  const [dark = 0, light = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (light + 0.05) / (dark + 0.05);
}
