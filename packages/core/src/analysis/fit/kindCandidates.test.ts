import { measured } from '../../document/measured.js';
import { describe, expect, test } from '@jest/globals';
import { ANY_FAN } from '../../arrangements/fan/values.js';
import { ANY_ROW_HEIGHTS } from '../../arrangements/rows/values.js';
import { ANY_MASONRY } from '../../arrangements/masonry/values.js';
import { ANY_MOSAIC } from '../../arrangements/mosaic/values.js';
import { applyPatch } from '../../edit/patch/applyPatch.js';
import { change } from '../../edit/patch/change.js';
import { checkFit } from './checkFit.js';
import { fixesFor } from './fixes.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample, samplePictures } from '../../testing/sample.js';
import { setSlots } from '../../edit/commands/kinds.js';
import { withHeld } from '../../testing/held.js';
import type { Arrangement, CollectionDocument } from '../../document/types.js';
import type { FindingKind } from './types.js';

const options = { measurer: LETTERS, from: 600, to: 900 };

/** Stats whose figure is so many letters long, in a kind of arrangement. */
function stats(letters: readonly number[], arrangement: Partial<Arrangement>): CollectionDocument {
  const base = sample(letters.map(() => [1, 1]));
  const tiles = Object.fromEntries(
    letters.map((count, k) => {
      const id = `t${k + 1}`;
      return [id, withHeld(base.tiles[id], { figure: 'w'.repeat(count), label: '' })];
    }),
  );
  return { ...base, tiles, bands: [], arrangement: { ...base.arrangement, ...arrangement } };
}

/** What is offered for the first finding of a kind; each is tried: the finding is found at fewer widths. */
function offered(document: CollectionDocument, kind: FindingKind): string[] {
  const report = checkFit(document, options);
  const finding = report.findings.find((each) => each.kind === kind);
  if (!finding) throw new Error(`${kind} is not found: ${report.findings.map((each) => each.kind).join()}`);
  const widths = (ranges: readonly { from: number; to: number }[]) =>
    ranges.reduce((sum, { from, to }) => sum + to - from + 1, 0);
  const fixes = fixesFor(document, report, finding, options);
  for (const { patch, safe } of fixes) {
    const after = checkFit(applyPatch(document, patch), options).findings;
    const left = after.find(({ id }) => id === finding.id);
    expect(left ? widths(left.ranges) : 0).toBeLessThan(widths(finding.ranges));
    if (safe) expect(after.map(({ id }) => id)).not.toContain(finding.id);
  }
  return fixes.map(({ does }) => does);
}

describe('what puts right in the settings of a kind', () => {
  test('masonry: fewer lanes, or wider ones', () => {
    const lanes = { ...ANY_MASONRY, count: 6 };
    expect(offered(stats([12, 2, 2, 2], { kind: 'masonry', masonry: lanes }), 'squashed')).toContain(
      '2 lanes',
    );
    const wide = { ...ANY_MASONRY, min: 90, max: 8 };
    expect(offered(stats([12, 2, 2, 2], { kind: 'masonry', masonry: wide }), 'squashed')[0]).toMatch(
      /^Lanes of at least \d+ px$/,
    );
  });

  test('masonry along: higher lanes', () => {
    const masonry = { ...ANY_MASONRY, direction: 'inline' as const, count: 1, laneSize: 60 };
    const document = stats([12, 2], { kind: 'masonry', masonry });
    expect(checkFit(document, options).findings.map(({ kind }) => kind)).toContain('clipped');
    expect(offered(document, 'clipped').some((does) => /^Lanes of \d+ px$/.test(does))).toBe(true);
  });

  test('a hole in a lane is found with its px, and closed by fewer lanes or another place in the order', () => {
    const open = samplePictures([0.5, 2, 2, 1, 1], {
      kind: 'masonry',
      columnGap: 10,
      rowGap: 10,
      masonry: { ...ANY_MASONRY, count: 2 },
    });
    const { p3 } = open.tiles;
    if (!p3) throw new Error('there is a third picture');
    const wide = { ...p3, place: { ...p3.place, columnSpan: 2 } };
    const document = { ...open, tiles: { ...open.tiles, p3: wide } };
    const holes = checkFit(document, options).findings.filter(({ kind }) => kind === 'hole');
    expect(holes).toMatchObject([
      { tiles: ['p3'], ranges: [{ from: 600, to: 900 }], worst: 900, figures: { lane: 2, columns: 2 } },
    ]);
    // At 900 px less the padding a lane is so wide; the first picture is twice as high, the second half.
    const { padding } = measured(document.arrangement, 900);
    const lane = (900 - padding.inlineStart - padding.inlineEnd - 10) / 2;
    expect(holes[0]?.figures.size).toBeCloseTo(lane * 2 - lane / 2 - 10, 0);
    const fixes = offered(document, 'hole');
    expect(fixes[0]).toBe('Over one lane');
    expect(fixes.some((does) => /^Read it \d (earlier|later)$/.test(does))).toBe(true);
  });

  test('a row gallery: higher rows for words, lower ones for pictures with few px', () => {
    const rowHeights = { ...ANY_ROW_HEIGHTS, target: 100, min: 80, max: 120 };
    const narrow = stats([14, 14, 14, 14, 14, 14], { kind: 'rows', rowHeights });
    expect(offered(narrow, 'squashed').some((does) => does.startsWith('Rows of about'))).toBe(true);
    const large = samplePictures([1, 1, 1, 1], {
      kind: 'rows',
      rowHeights: { ...ANY_ROW_HEIGHTS, target: 380, max: 420 },
    });
    const small: CollectionDocument = {
      ...large,
      pictures: Object.fromEntries(
        Object.entries(large.pictures).map(([id, picture]) => [
          id,
          { ...picture, inlineSize: 330, blockSize: 330 },
        ]),
      ),
    };
    expect(offered(small, 'soft').some((does) => does.startsWith('Rows of about'))).toBe(true);
  });

  test('a fan: larger cards', () => {
    const fan = { ...ANY_FAN, inlineSize: 90 };
    expect(offered(stats([14, 2, 2], { kind: 'fan', fan }), 'squashed')).toContainEqual(
      expect.stringMatching(/^Cards \d+ px wide$/),
    );
  });

  test('values of another kind are left alone', () => {
    const masonry = { ...ANY_MASONRY, count: 6 };
    const document = stats([12, 2, 2, 2], { kind: 'masonry', masonry });
    const report = checkFit(document, options);
    for (const finding of report.findings)
      for (const { patch } of fixesFor(document, report, finding, options)) {
        const { arrangement } = applyPatch(document, patch);
        expect([arrangement.kind, arrangement.rowHeights, arrangement.mosaic, arrangement.fan]).toEqual([
          'masonry',
          undefined,
          undefined,
          undefined,
        ]);
      }
  });
});

describe('locks of a mosaic', () => {
  const mosaic = { ...ANY_MOSAIC, count: 6 };
  const open = samplePictures([1, 1.5, 0.7, 1, 1.5, 1, 0.7, 1.5, 1, 1], { kind: 'mosaic', mosaic });
  const lock = (document: CollectionDocument, column: number, row: number) =>
    change(document, setSlots({ p3: { column, row, columnSpan: 2, rowSpan: 2 } }, 0)).document;

  test('one that is held is no finding', () => {
    expect(checkFit(lock(open, 3, 1), options).findings.map(({ kind }) => kind)).not.toContain('lock lost');
  });

  test('one that no mosaic holds is found, says why, and can be given up', () => {
    const out = lock(open, 6, 1);
    const finding = checkFit(out, options).findings.find(({ kind }) => kind === 'lock lost');
    expect(finding).toMatchObject({
      tiles: ['p3'],
      severity: 'wrong',
      title: '“p3” does not stay where it is locked',
      reason: 'No mosaic of six modules across holds it at column 6, row 1, 2 × 2.',
      ranges: [{ from: 600, to: 900 }],
    });
    expect(offered(out, 'lock lost')).toContain('Unlock it');
  });

  test('it is no finding in another kind', () => {
    const out = lock(open, 6, 1);
    const bento = { ...out, arrangement: { ...out.arrangement, kind: 'bento' as const } };
    expect(checkFit(bento, options).findings.map(({ kind }) => kind)).not.toContain('lock lost');
  });
});
