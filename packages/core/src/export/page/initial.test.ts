import { describe, expect, test } from '@jest/globals';
import { arrangementKinds } from '../../arrangements/index.js';
import { ANY_FAN } from '../../arrangements/fan/values.js';
import { ANY_MASONRY } from '../../arrangements/masonry/values.js';
import { bandOf } from '../../document/bands.js';
import { readPage } from '../../engine/html/readPage.js';
import { layoutPage } from '../../engine/html/layoutPage.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { bandCss } from './bandCss.js';
import { initialValues } from './initial.js';
import { writePage } from './writePage.js';
import type { Arrangement, CollectionDocument } from '../../document/types.js';
import type { Declarations } from '../../engine/css/rule.js';

/** Every kind there is, and those that say other things by their values. */
const FORMS: readonly (readonly [name: string, values: Partial<Arrangement>])[] = [
  ...arrangementKinds().map(({ name }) => [name, { kind: name }] as const),
  ['square cells', { kind: 'bento', cells: 'square' }],
  ['areas', { kind: 'bento', areas: ['side top', 'side rest'], columns: ['1fr', '2fr'] }],
  ['lanes that tiles run along', { kind: 'masonry', masonry: { ...ANY_MASONRY, direction: 'inline' } }],
  ['a fan of cards below one another', { kind: 'fan', fan: { ...ANY_FAN, axis: 'block' } }],
];

const pad = { blockStart: 8, inlineEnd: 12, blockEnd: 16, inlineStart: 4 };
const of = (wide: Partial<Arrangement>, narrow?: Partial<Arrangement>): CollectionDocument => {
  const document = sample([
    [1, 1],
    [2, 1],
    [1, 2],
    [1, 1],
    [3, 1],
  ]);
  return {
    ...document,
    arrangement: { ...document.arrangement, autoRows: '120px', padding: pad, ...wide },
    bands: narrow ? [{ id: 'narrow', below: 700, arrangement: narrow, tiles: {} }] : [],
  };
};

type Role = 'grid' | 'tile' | 'before';
const roleOf = (selector: string): Role =>
  selector.endsWith('::before') ? 'before' : selector.startsWith('[data-tile') ? 'tile' : 'grid';

/** What a form says in its rules, by what it says it of. */
function saidBy(values: Partial<Arrangement>): ReadonlyMap<Role, ReadonlySet<string>> {
  const document = of(values);
  const { rules } = bandCss(document, { ...bandOf(document, 0), at: 650 }, LETTERS);
  const said = new Map<Role, Set<string>>();
  for (const [selector, declarations] of Object.entries(rules)) {
    const role = roleOf(selector);
    said.set(role, new Set([...(said.get(role) ?? []), ...Object.keys(declarations)]));
  }
  return said;
}

describe('a band of another kind', () => {
  const said = FORMS.map(([name, values]) => [name, saidBy(values)] as const);

  test.each(said)('takes back all that %s says', (_, wide) => {
    const initial: Declarations = initialValues();
    for (const [other, narrow] of said)
      for (const [role, properties] of wide) {
        const left = [...properties].filter(
          // A custom property does nothing by itself.
          (each) => !each.startsWith('--') && !narrow.get(role)?.has(each) && !(each in initial),
        );
        expect([other, role, left]).toEqual([other, role, []]);
      }
  });

  test.each(FORMS.flatMap(([a, wide]) => FORMS.map(([b, narrow]) => [a, b, wide, narrow] as const)))(
    'lies after %s as %s does by itself',
    (_, __, wide, narrow) => {
      const places = (document: CollectionDocument) => {
        const { files } = writePage(document, LETTERS);
        const page = readPage(files['index.html'] ?? '', (href) => files[href] ?? null);
        const options = { height: 800, measurer: LETTERS, pictureSize: () => null };
        return layoutPage(page, 650, options).tiles.map(({ id, x, y, inlineSize, blockSize }) => [
          id,
          ...[x, y, inlineSize, blockSize].map((px) => Math.round(px * 100) / 100),
        ]);
      };
      const base = of(wide).arrangement;
      const whole = { ...base, areas: [], cells: 'tracks' as const, ...narrow };
      const alone = { ...of(wide), arrangement: whole };
      expect(places(of(wide, { areas: [], cells: 'tracks', ...narrow }))).toEqual(places(alone));
    },
  );
});
