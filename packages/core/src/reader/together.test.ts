import { expect, test } from '@jest/globals';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { checkDocument } from '../check/checkDocument.js';
import { readCollection } from './readCollection.js';

const PAGE = `<style>
* { margin: 0 } main { padding: 0 20px } section { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; grid-auto-rows: 100px }
#hours { grid-template-columns: 1fr 1fr 1fr } b { display: grid }
@media (width < 600px) { section, #hours { grid-template-columns: 1fr } }
</style><body><main><section class="huts"><p>One</p><p>Two</p><b>In</b></section><hr><section id="hours"><p>Mon</p><p>Tue</p></section></main></body>`;

test('several grids of a page are groups, one below the other, with the bands of each', () => {
  const { found } = readCollection(PAGE, 'Page');
  expect(found).toEqual([
    { name: 'section.huts', line: 5, isInner: false },
    { name: 'b', line: 5, isInner: true },
    { name: 'section#hours', line: 5, isInner: false },
  ]);
  const { document, starts, reports } = readCollection(PAGE, 'Page', { grid: [0, 2] });
  if (!document) throw new Error('There are grids.');
  expect(checkDocument(JSON.parse(JSON.stringify(document))).problems).toEqual([]);
  expect(document.order).toEqual(['huts', 'hours']);
  expect(document.tiles.hours?.name).toBe('Hours');
  expect(Object.keys(starts).sort()).toEqual(Object.keys(document.tiles).sort());
  expect(PAGE.slice(starts.hours, (starts.hours ?? 0) + 20)).toBe('<section id="hours">');
  expect(reports.map(({ message }) => message)).toContain(
    '2 grids lie one below the other; what is between them is left out.',
  );
  const boxes = (width: number) => {
    const { tiles, groups } = layoutCollection(document, width, { measurer: LETTERS });
    return tiles.map(({ id, x, inlineSize }) => [
      [x, inlineSize],
      ...(groups[id]?.tiles ?? []).map((each) => [each.x, Math.round(each.inlineSize)]),
    ]);
  };
  expect(boxes(1040)).toEqual([
    [
      [20, 1000],
      [0, 495],
      [505, 495],
      [0, 495],
    ],
    [
      [20, 1000],
      [0, 327],
      [expect.closeTo(336.67, 1), 327],
    ],
  ]);
  expect(boxes(400)).toEqual([
    [
      [20, 360],
      [0, 360],
      [0, 360],
      [0, 360],
    ],
    [
      [20, 360],
      [0, 360],
      [0, 360],
    ],
  ]);
});
