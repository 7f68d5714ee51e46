import { beforeAll, describe, expect, test } from '@jest/globals';
import { register } from './index.js';
import { checkDocument } from '../check/checkDocument.js';
import { checkFit } from '../analysis/fit/checkFit.js';
import { fixesFor } from '../analysis/fit/fixes.js';
import { layoutCollection } from '../layout/layout.js';
import { setKind, setOfKind } from '../edit/commands/kinds.js';
import { groupTiles } from '../edit/commands/groups.js';
import { onLevel } from '../edit/commands/level.js';
import { change } from '../edit/patch/change.js';
import { applyPatch } from '../edit/patch/applyPatch.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { expectReadBack } from '../testing/readBack.js';
import { stairs } from '../testing/stairs/index.js';
import type { CollectionDocument, KindValues } from '../document/types.js';
import type { Layout } from './kind.js';

// All that makes a kind known.
beforeAll(() => register(stairs));

const STAIRS = 'stairs' as keyof KindValues;
const start = (): CollectionDocument => {
  const document = sample([
    [1, 1],
    [2, 1],
    [1, 2],
  ]);
  return { ...document, bands: document.bands.slice(0, 1) };
};
const made = () => change(start(), setKind(stairs.name, 0, 'all'));
const places = ({ tiles }: Pick<Layout, 'tiles'>) =>
  tiles.map(({ id, x, y, inlineSize, blockSize }) => [id, x, y, inlineSize, blockSize]);

describe('a kind of arrangement that is a folder and a line', () => {
  test('is taken by the checker, with its values; what it does not know is refused', () => {
    const { document } = change(made().document, setOfKind(STAIRS, { step: 120 } as never, 0, 'all'));
    expect(checkDocument(document).problems).toEqual([]);
    const wrong = { ...document, arrangement: { ...document.arrangement, stairs: { step: 0 } } };
    expect(checkDocument(wrong).problems).toMatchObject([{ path: '/arrangement/stairs/step' }]);
    const other = { ...document, arrangement: { ...document.arrangement, kind: 'ladder' } };
    expect(checkDocument(other).problems[0]?.message).toContain('"stairs"');
  });

  test('lies as it says, in a group as well', () => {
    const { document } = made();
    expect(places(layoutCollection(document, 1200, { measurer: LETTERS }))).toEqual([
      ['t1', 24, 24, (1152 - 32) / 3, 80],
      ['t2', 24 + (1152 - 32) / 3 + 16, 24 + 96, (1152 - 32) / 3, 80],
      ['t3', 24 + 2 * ((1152 - 32) / 3 + 16), 24 + 192, (1152 - 32) / 3, 80],
    ]);
    const grouped = change(
      change(start(), groupTiles(['t1', 't2'], 'group', 0)).document,
      onLevel('group', setKind(stairs.name, 0, 'all')),
    ).document;
    const inner = layoutCollection(grouped, 1200, { measurer: LETTERS }).groups.group;
    expect(inner?.tiles.map(({ column, row, blockSize }) => [column, row, blockSize])).toEqual([
      [1, 1, 80],
      [2, 2, 80],
    ]);
  });

  test.each([1200, 700])('goes into a page that is read back as it lies, at %i px', (width) => {
    const wide = made().document;
    // The widest band alone: the narrower one is a grid again, and takes back what the stairs said.
    const [band] = wide.bands;
    const document = {
      ...wide,
      bands: band ? [{ ...band, arrangement: { ...band.arrangement, kind: 'bento' as const } }] : [],
    };
    expect(expectReadBack(document, width)['style.css']).toContain('scroll-margin: 0px');
  });

  test('finds what is its own, and knows a remedy, which is tried', () => {
    const many = change(
      sample(Array.from({ length: 8 }, () => [1, 1] as const)),
      setKind(stairs.name, 0, 'all'),
    );
    const { findings } = checkFit(many.document, { measurer: LETTERS, from: 1000, to: 1400 });
    expect(findings.some(({ kind, tiles }) => kind === 'hole' && tiles[0] === 't8')).toBe(true);

    const low = change(made().document, setOfKind(STAIRS, { step: 12 } as never, 0, 'all')).document;
    const options = { measurer: LETTERS, from: 1200, to: 1240 };
    const report = checkFit(low, options);
    const clipped = report.findings.find(({ kind }) => kind === 'clipped');
    if (!clipped) throw new Error('Nothing is clipped.');
    const fix = fixesFor(low, report, clipped, options).find(({ does }) => does.startsWith('Steps of'));
    expect(fix).toMatchObject({ safe: true });
  });

  test('is undone to where it began', () => {
    const { document, inverse } = made();
    expect(document.arrangement.kind).toBe('stairs');
    expect(applyPatch(document, inverse)).toEqual(start());
  });
});
