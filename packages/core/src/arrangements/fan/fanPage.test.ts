import { describe, expect, test } from '@jest/globals';
import { ANY_FAN } from './values.js';
import { change, type Command } from '../../edit/patch/change.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { onLevel } from '../../edit/commands/level.js';
import { setHidden, setOrder } from '../../edit/commands/place.js';
import { setKind, setOfKind } from '../../edit/commands/kinds.js';
import { setTile } from '../../edit/commands/tiles.js';
import { checkFit } from '../../analysis/fit/checkFit.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { samplePictures } from '../../testing/sample.js';
import { writePage } from '../../export/page/writePage.js';
import type { CollectionDocument, FanCards } from '../../document/types.js';

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
    expect(opened[1]?.[2]).toBe('var(--strip) var(--open) repeat(3, var(--strip))');
    expect(css).toMatch(/--open: 300px;\n\s*--strip: minmax\(0, 80px\);/);
    expect(css).toMatch(/@media \(prefers-reduced-motion: no-preference\) \{\s*\.collection \{\s*transition/);
    expect(css).toMatch(/@media \(hover: hover\)/);
  });

  test('comes in as fast as tiles elsewhere, though every other sibling is a button', () => {
    const moving = change(
      fan({}),
      setTile(['p1', 'p2'], { motion: { entrance: 'rise', hover: 'none' } }),
    ).document;
    expect(page(moving).css).toMatch(/\.p2 \{[^}]*animation-delay: calc\(sibling-index\(\) \/ 2 \* 55ms\)/);
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

  test('opens another card in a band that says so, or that hides or orders cards, and none is checked', () => {
    const banded = (command: Command): CollectionDocument => {
      const bands = [{ id: 'narrow', below: 600, arrangement: {}, tiles: {} }];
      return change({ ...fan({ open: 'last' }), bands }, command).document;
    };
    const checked = (document: CollectionDocument) => page(document).html.includes(' checked>');
    const rest = (document: CollectionDocument) =>
      [...page(document).css.matchAll(/:not\(:has\(> \.opens:checked\)\) > \[data-opens="(\w+)"\]/g)].map(
        ([, id]) => id,
      );
    const same = banded(setOfKind('fan', { strip: 50 }, 1, 'band'));
    expect([checked(same), rest(same)]).toEqual([true, []]);
    for (const command of [
      setOfKind('fan', { open: 'first' }, 1, 'band'),
      setOrder(['p1'], 1, 1, 'band'),
      setHidden(['p5'], true, 1, 'band'),
    ]) {
      const other = banded(command);
      const [open] = layoutCollection(other, 500, { measurer: LETTERS }).tiles;
      expect([checked(other), rest(other).length > 0, open !== undefined]).toEqual([false, true, true]);
    }
    expect(rest(banded(setOrder(['p1'], 1, 1, 'band')))).toEqual(['p5', 'p1']);
  });

  test('is cut as round as its last card, but for a group, whose ground would be cut as well', () => {
    const cut = (values: Partial<FanCards>) => /clip-path: (inset[^;]*);/.exec(page(fan(values)).css)?.[1];
    expect(cut({ axis: 'inline', blockSize: 300 })).toBe(
      'inset(24px 24px calc(100% - 324px) 24px round 0 14px 14px 0)',
    );
    expect(cut({ axis: 'block' })).toBe('inset(24px 24px 24px 24px round 0 0 14px 14px)');
    const grouped = change(fan({}), groupTiles(['p1', 'p2', 'p3'], 'g', 0)).document;
    const inGroup = [setKind('bento', 0, 'all'), onLevel('g', setKind('fan', 0, 'all'))].reduce(
      (document, command) => change(document, command).document,
      grouped,
    );
    expect(page(inGroup).css).not.toContain('clip-path: inset(24px');
    expect(page(inGroup).html).toContain('data-opens="p2"');
  });
});
