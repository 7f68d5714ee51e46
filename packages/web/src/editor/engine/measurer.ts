import { FAMILIES, type FamilyName, type Font, type FontMetrics, type TextMeasurer } from '@noria/core';
import { fontAddress } from './fonts';

const MOST_KNOWN = 200_000;

/** Measures words with a canvas; in the page and in workers alike. The fonts have to be there first. */
function canvasMeasurer(): TextMeasurer {
  const context = new OffscreenCanvas(1, 1).getContext('2d');
  if (!context) throw new Error('This browser has no canvas to measure words with.');
  const widths = new Map<string, number>();
  const metrics = new Map<string, FontMetrics>();
  const cssOf = ({ families, size, weight, italic }: Font) =>
    `${italic ? 'italic ' : ''}${weight} ${size}px ${families.map((name) => `"${name}"`).join(', ')}`;
  return {
    width: (text, font) => {
      const css = cssOf(font);
      const key = `${css}|${text}`;
      let width = widths.get(key);
      if (width === undefined) {
        if (widths.size > MOST_KNOWN) widths.clear();
        if (context.font !== css) context.font = css;
        widths.set(key, (width = context.measureText(text).width));
      }
      return width;
    },
    metrics: (font) => {
      const css = cssOf(font);
      let found = metrics.get(css);
      if (!found) {
        context.font = css;
        const { fontBoundingBoxAscent, fontBoundingBoxDescent } = context.measureText('x');
        found = { ascent: fontBoundingBoxAscent, descent: fontBoundingBoxDescent, lineGap: 0 };
        metrics.set(css, found);
      }
      return found;
    },
  };
}

let known: TextMeasurer | null = null;

/** The one measurer of this page or worker. */
export const measurer: TextMeasurer = {
  width: (text, font) => (known ??= canvasMeasurer()).width(text, font),
  metrics: (font) => (known ??= canvasMeasurer()).metrics(font),
};

/**
 * Makes the shipped families known to the page or worker, and waits until they can be measured. A
 * font that can't be loaded is left out: its words are measured, and shown, in the next family.
 */
export async function loadFonts(fonts: FontFaceSet): Promise<void> {
  const faces = (Object.entries(FAMILIES) as [FamilyName, (typeof FAMILIES)[FamilyName]][]).flatMap(
    ([name, { files, weights }]) =>
      files.map(
        ({ file, unicodeRange }) =>
          new FontFace(name, `url(${fontAddress(file)}) format("woff2")`, {
            weight: weights,
            unicodeRange,
            display: 'swap',
          }),
      ),
  );
  for (const face of faces) fonts.add(face);
  await Promise.allSettled(faces.map((face) => face.load()));
}
