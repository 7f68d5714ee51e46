import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { layoutCollection } from '../layout/layout.js';
import { layoutPage } from '../engine/html/layoutPage.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { readCollection } from './readCollection.js';
import { readPage } from '../engine/html/readPage.js';

const NOWHERE = { height: 800, pictureSize: () => null };
const items = Array.from({ length: 6 }, (_, k) => `<p data-tile="tile-${k + 1}"></p>`).join('');
const page = (columns: string, rows: string) => `<!doctype html>
  <style>body, p { margin: 0 } p { padding: 18px } .g { display: grid; grid-template-columns: ${columns}; grid-auto-rows: ${rows}; gap: 10px }</style>
  <div class="g" data-grid>${items}</div>`;

const COLUMNS = [
  '120px 1fr 2fr',
  '30% minmax(80px, 1fr) 1fr',
  'minmax(6rem, 12rem) 1fr',
  'fit-content(140px) 1fr',
  'clamp(60px, 20%, 200px) minmax(0, 3fr) minmax(0, 2fr)',
  'calc(50% - 5px) minmax(min(100%, 90px), 1fr)',
  'minmax(100px, max-content) minmax(0, 1fr)',
];
const ROWS = ['70px', 'minmax(40px, auto)', 'clamp(30px, 4rem, 90px)'];

describe('tracks of a page are those of the collection', () => {
  test.each(COLUMNS.flatMap((columns) => ROWS.map((rows) => [columns, rows] as const)))(
    'columns %s, rows of %s',
    (columns, rows) => {
      const html = page(columns, rows);
      const { document, reports } = readCollection(html, 'Tracks');
      if (!document) throw new Error('There is a grid.');
      expect(reports.map(({ message }) => message).filter((each) => each.includes('grid-'))).toEqual([]);
      for (const width of [320, 611, 1280]) {
        const there = layoutPage(readPage(html), width, { ...NOWHERE, measurer: LETTERS });
        const here = layoutCollection(document, width, { measurer: LETTERS });
        const boxes = (tiles: readonly { id: string; x: number; inlineSize: number }[]) =>
          tiles.map(({ id, x, inlineSize }) => [id, x.toFixed(1), inlineSize.toFixed(1)]);
        expect(boxes(here.tiles)).toEqual(boxes(there.tiles));
      }
    },
  );

  test('rows that grow keep doing so', () => {
    const { document } = readCollection(page('1fr 1fr', 'minmax(40px, auto)'), 'Rows');
    expect(document?.arrangement.autoRows).toBe('minmax(40px, auto)');
  });

  test('a track that nobody could see is said to be out of bounds', () => {
    const { document, reports } = readCollection(page('9999999px 1fr', '20px'), 'Large');
    expect(document?.arrangement.columns).toEqual(['1fr', '1fr']);
    expect(reports.map(({ message }) => message).join()).toContain('out of bounds');
  });
});

describe('as many columns as fit', () => {
  const read = (css: string) => {
    const { document, reports } = readCollection(
      `<style>.g { display: grid; gap: 10px; ${css} }</style><div class="g"><p>A</p><p>B</p></div>`,
      'Fluid',
    );
    expect(document && checkDocument(document).problems).toEqual([]);
    return { arrangement: document?.arrangement, said: reports.map(({ message }) => message).join('\n') };
  };

  test.each([
    [
      'grid-template-columns: repeat(auto-fill, minmax(240px, 1fr))',
      { repeat: 'auto-fill', min: 240, max: null },
    ],
    [
      'grid-template-columns: repeat(auto-fit, minmax(min(18rem, 100%), 1fr))',
      { repeat: 'auto-fit', min: 288, max: null },
    ],
    [
      'grid-template-columns: repeat(auto-fill, minmax(min(100%, max(200px, (100% - 30px) / 4)), 1fr))',
      { repeat: 'auto-fill', min: 200, max: 4 },
    ],
  ])('%s', (css, fluid) => {
    const { arrangement, said } = read(css);
    expect(arrangement).toMatchObject({ kind: 'fluid', fluid: { ...fluid, spansFrom: null } });
    expect(said).toBe('');
  });

  test('columns of a fixed width keep their number, and that is said', () => {
    const { arrangement, said } = read('grid-template-columns: repeat(auto-fill, 200px)');
    expect(arrangement?.kind).toBe('bento');
    expect(said).toMatch(/as many columns as there is room for/);
  });

  test.each([
    [
      'grid-template-columns: 1fr 1fr 1fr; flow-tolerance: 20px',
      { count: 3, order: 'balanced', tolerance: 20 },
    ],
    [
      'grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); flow-tolerance: infinite',
      { count: null, min: 230, order: 'in-turn' },
    ],
  ])('lanes: %s', (css, masonry) =>
    expect(read(`display: grid-lanes; ${css}`).arrangement).toMatchObject({ kind: 'masonry', masonry }),
  );
});
