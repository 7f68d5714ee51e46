import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { type Blend, composed, groundCss, hexOf, paintedBy, rgbOf } from '@noria/core';
import { seeded } from './random';
import { NAMED, randomLook } from './randomLook';

/** So many looks are drawn by the browser, and looked at in so many places each. */
const LOOKS = 300;
const PLACES = 24;
/** Boxes of a page, in a row and in all. */
const ACROSS = 10;
const PER_PAGE = 100;
const BOX = { inlineSize: 96, blockSize: 64 };
/** What rounding in 8 bits for each layer, and the way in which a browser samples gradients, may differ by. */
const NEAR = 4;
/** Two ways of mixing divide, and so enlarge what an earlier layer was rounded by. */
const NEAR_DIVIDED = 32;
const DIVIDES: readonly Blend[] = ['color-burn', 'color-dodge'];

const BACKGROUND = '#dfe6e4';

test('what is painted behind the words is what the browser paints', async ({ page }) => {
  const random = seeded(20261129);
  const looks = Array.from({ length: LOOKS }, () => randomLook(random));
  const off: string[] = [];
  for (let first = 0; first < LOOKS; first += PER_PAGE) {
    const shown = looks.slice(first, first + PER_PAGE);
    const boxes = shown.map((look, k) => {
      const css = Object.entries(groundCss(look, { namedLooks: NAMED, image: () => null }))
        .map(([property, value]) => `${property}: ${value}`)
        .join('; ');
      return `<div style='left:${(k % ACROSS) * BOX.inlineSize}px; top:${Math.floor(k / ACROSS) * BOX.blockSize}px; ${css.replaceAll("'", '&apos;')}'></div>`;
    });
    await page.setViewportSize({
      width: ACROSS * BOX.inlineSize,
      height: (PER_PAGE / ACROSS) * BOX.blockSize,
    });
    await page.setContent(
      `<style>:root { --moss: ${NAMED.moss.value} } body { margin: 0; background: ${BACKGROUND} } div { position: absolute; width: ${BOX.inlineSize}px; height: ${BOX.blockSize}px }</style>${boxes.join('')}`,
    );
    const { data, info } = await sharp(await page.screenshot())
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    shown.forEach((look, k) => {
      const near = look.over?.some(({ blend = 'normal' }) => DIVIDES.includes(blend)) ? NEAR_DIVIDED : NEAR;
      const painter = paintedBy({ pictures: {}, namedLooks: NAMED }, look, BOX);
      for (let n = 0; n < PLACES; n++) {
        const [x, y] = [random.int(1, BOX.inlineSize - 2), random.int(1, BOX.blockSize - 2)];
        const said = (dx: number, dy: number) =>
          composed(
            { colour: rgbOf(BACKGROUND), alpha: 1 },
            painter({ x: x + 0.5 + dx, y: y + 0.5 + dy }),
          ).colour.map((value) => value * 255);
        // Where colours change within a px, so do the px of the browser.
        const around = [said(0, 0), said(0.5, 0), said(-0.5, 0), said(0, 0.5), said(0, -0.5)];
        const at =
          ((Math.floor(k / ACROSS) * BOX.blockSize + y) * info.width + (k % ACROSS) * BOX.inlineSize + x) * 3;
        const seen = [...data.subarray(at, at + 3)];
        const isNear = seen.every((value, channel) => {
          const values = around.map((rgb) => rgb[channel] ?? 0);
          return value >= Math.min(...values) - near && value <= Math.max(...values) + near;
        });
        if (!isNear)
          off.push(
            `${first + k} at ${x}, ${y}: ${hexOf(said(0, 0).map((value) => value / 255) as never)} is said, ${seen.join(' ')} is seen; ${JSON.stringify(look)}`,
          );
      }
    });
  }
  expect(
    off.slice(0, 3),
    `${off.length} places are off, of the looks ${[...new Set(off.map((each) => each.split(' ')[0]))].join(', ')}`,
  ).toEqual([]);
});
