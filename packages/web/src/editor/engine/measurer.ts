import type { Font, FontMetrics, TextMeasurer } from '@noria/core';
import { faceName, type WantedFace } from './faces';

const MOST_KNOWN = 200_000;
/** Families that are the device’s (CSS Fonts 4, section 2.1.3): in quotes they would be names. */
const GENERIC = /^((ui-)?(sans-serif|serif|monospace|rounded)|system-ui|cursive)$/;

/** Measures words with a canvas; in the page and in workers alike. The fonts have to be there first. */
function canvasMeasurer(): TextMeasurer {
  const context = new OffscreenCanvas(1, 1).getContext('2d');
  if (!context) throw new Error('This browser has no canvas to measure words with.');
  const widths = new Map<string, number>();
  const metrics = new Map<string, FontMetrics>();
  const cssOf = (font: Font) => {
    const { families, size, weight, italic } = font;
    const names = families.map((name) => (GENERIC.test(name) ? name : `"${faceName(name, font)}"`));
    return `${italic ? 'italic ' : ''}${weight} ${size}px ${names.join(', ')}`;
  };
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

/** The measurer of this page or worker as it is now: as soon as more fonts are there it is another one. */
export const measurer = (): TextMeasurer => (known ??= canvasMeasurer());

/** Faces that were asked for, by what they are, and whether they are there. */
const asked = new Map<string, { readonly settled: Promise<unknown>; isSettled: boolean }>();

/**
 * Makes faces known to the page or worker, and waits until they can be measured. One that can't be loaded is
 * left out: its words are measured, and shown, in the next family.
 * @returns whether any came that was not there before
 */
export async function loadFaces(fonts: FontFaceSet, faces: readonly WantedFace[]): Promise<boolean> {
  if (typeof FontFace === 'undefined') return false;
  const missing = faces
    .map((wanted) => {
      const key = JSON.stringify(wanted);
      const found = asked.get(key);
      if (found) return found;
      const face = new FontFace(wanted.family, `url(${wanted.address})`, wanted.descriptors);
      fonts.add(face);
      const settled = face.load().catch(() => undefined);
      const one = { settled, isSettled: false };
      asked.set(key, one);
      void settled.then(() => {
        one.isSettled = true;
        known = null;
      });
      return one;
    })
    .filter(({ isSettled }) => !isSettled);
  if (missing.length === 0) return false;
  await Promise.all(missing.map(({ settled }) => settled));
  return true;
}
