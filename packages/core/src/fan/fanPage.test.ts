import { describe, expect, test } from '@jest/globals';
import { ANY_FAN } from '../document/kindValues.js';
import { change } from '../patch/change.js';
import { setContent } from '../commands/tiles.js';
import { checkFit } from '../fit/checkFit.js';
import { layoutCollection } from '../layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { samplePictures } from '../testing/sample.js';
import { writePage } from '../page/writePage.js';
import type { CollectionDocument, FanCards } from '../document/types.js';

const fan = (values: Partial<FanCards>, count = 5): CollectionDocument =>
  samplePictures(
    Array.from({ length: count }, () => 0.8),
    { kind: 'fan', fan: { ...ANY_FAN, ...values } },
  );
const page = (document: CollectionDocument) => {
  const { files } = writePage(document, LETTERS);
  return { html: files['index.html'] ?? '', css: files['style.css'] ?? '' };
};

describe('a fan in the page', () => {
  test('has a radio button right before each card, the open one checked, and no script', () => {
    for (const open of ['first', 'last'] as const) {
      const { html } = page(fan({ open }));
      const found = [
        ...html.matchAll(
          /<input class="opens"[^>]*data-opens="(\w+)"[^>]*?( checked)?>\s*<img[^>]*data-tile="(\w+)"/g,
        ),
      ];
      expect(found.map(([, opener, , tile]) => [opener, tile])).toEqual(
        ['p1', 'p2', 'p3', 'p4', 'p5'].map((id) => [id, id]),
      );
      expect(found.filter(([, , checked]) => checked).map(([, id]) => id)).toEqual([
        open === 'first' ? 'p1' : 'p5',
      ]);
      expect(html).not.toContain('<script');
    }
  });

  test('opens every card by its button, by pointing and by focus; glides only where motion is wanted', () => {
    const { css } = page(fan({ inlineSize: 300, strip: 80 }));
    const opened = [...css.matchAll(/\.collection:has\(([^{]*)\) \{\s*grid-template-columns: ([^;]*);/g)];
    expect(opened).toHaveLength(15);
    expect(opened[1]?.[2]).toBe('minmax(0, 80px) 300px repeat(3, minmax(0, 80px))');
    expect(css).toMatch(/@media \(prefers-reduced-motion: no-preference\) \{\s*\.collection \{\s*transition/);
    expect(css).toMatch(/@media \(hover: hover\)/);
  });

  test('comes in as fast as tiles elsewhere, though every other sibling is a button', () => {
    const moving = change(
      fan({}),
      setContent(['p1', 'p2'], { motion: { opens: 'rise', points: 'none' } }),
    ).document;
    expect(page(moving).css).toMatch(
      /\[data-tile="p2"\] \{\s*animation-delay: calc\(sibling-index\(\) \/ 2 \* 55ms\)/,
    );
  });

  test('cards lie a strip apart, as much as there is room for, and no more', () => {
    const strips = (width: number) => {
      const { tiles } = layoutCollection(fan({ inlineSize: 300, strip: 80, open: 'last' }), width, {
        measurer: LETTERS,
      });
      return tiles.slice(1).map(({ x }, k) => Math.round(x - (tiles[k]?.x ?? 0)));
    };
    expect(strips(1600)).toEqual([80, 80, 80, 80]);
    expect(new Set(strips(500)).size).toBe(1);
    expect(strips(500)[0]).toBeLessThan(80);
  });

  test('a card wider than its fan is found, one that gives way is not', () => {
    const kinds = (width: number) =>
      checkFit(fan({ inlineSize: 300, strip: 80, open: 'first' }), {
        measurer: LETTERS,
        from: width,
        to: width,
      }).findings.map(({ kind }) => kind);
    expect(kinds(1200)).not.toContain('overflow');
    expect(kinds(280)).toContain('overflow');
  });
});
