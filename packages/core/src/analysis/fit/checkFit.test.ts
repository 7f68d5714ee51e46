import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bandBearing } from '../bearing.js';
import { applyPatch } from '../../edit/patch/applyPatch.js';
import { change } from '../../edit/patch/change.js';
import { checkFit, openFindings, widthsAmiss, worstRuns } from './checkFit.js';
import { fixAllSafe, fixesFor } from './fixes.js';
import { flatTiles, layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { rangesWhere, rangeWords } from './ranges.js';
import { sample, type SampleSpans } from '../../testing/sample.js';
import { setIgnored } from '../../edit/commands/findings.js';
import { setHidden, setOrder } from '../../edit/commands/place.js';
import { tileSize } from '../../parts/tileSize.js';
import { cardWith, withHeld, type Held } from '../../testing/held.js';
import type { CollectionDocument, PictureAsset, PicturePart, Tile, TrackSize } from '../../document/types.js';

const measurer = LETTERS;

function collection(spans: readonly SampleSpans[], columns = 4): CollectionDocument {
  return { ...sample(spans, columns), bands: [] };
}

const withTile = (document: CollectionDocument, id: string, values: Partial<Tile>): CollectionDocument => ({
  ...document,
  tiles: { ...document.tiles, [id]: { ...(document.tiles[id] as Tile), ...values } as Tile },
});

const asset = (inlineSize: number, blockSize: number, alternativeText = 'A hut'): PictureAsset => ({
  id: 'p',
  name: 'Hut',
  file: 'p.webp',
  hash: 'a'.repeat(64),
  mediaType: 'image/webp',
  inlineSize,
  blockSize,
  alternativeText,
});

function withPicture(
  base: CollectionDocument,
  id: string,
  picture: PictureAsset,
  values: Partial<PicturePart> = {},
) {
  const tile: Tile = {
    ...cardWith('picture', id, { picture: { picture: 'p', ...values } }),
    place: base.tiles[id]?.place ?? { columnSpan: 1, rowSpan: 1, pin: null },
  };
  return { ...base, tiles: { ...base.tiles, [id]: tile }, pictures: { p: picture } };
}

const withWords = (document: CollectionDocument, id: string, words: Held): CollectionDocument => ({
  ...document,
  tiles: { ...document.tiles, [id]: withHeld(document.tiles[id], words) },
});

const kindsOf = (document: CollectionDocument, at?: number) =>
  checkFit(document, { measurer, ...(at !== undefined && { from: at, to: at }) }).findings.map(
    ({ kind }) => kind,
  );

describe('the fit check over every px', () => {
  const rows = fc.constantFrom<TrackSize>('120px', '90px', 'auto', 'minmax(80px, auto)');
  const columns = fc.array(fc.constantFrom<TrackSize>('1fr', '2fr', '140px', 'minmax(160px, 1fr)'), {
    minLength: 1,
    maxLength: 5,
  });
  const words = fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 50 })), {
    minLength: 1,
    maxLength: 7,
  });

  test('says at each px what a layout of that px says', () => {
    fc.assert(
      fc.property(rows, columns, words, (autoRows, tracks, all) => {
        const base = collection(all.map(([word]) => [(word % 3) + 1, 1] as const));
        const document: CollectionDocument = {
          ...base,
          arrangement: { ...base.arrangement, autoRows, columns: tracks, maxInlineSize: 700 },
          tiles: Object.fromEntries(
            all.map(([word, label], k) => {
              const tile = withHeld(base.tiles[`t${k + 1}`], {
                figure: 'w'.repeat(word),
                label: 'snow '.repeat(label / 5).trim(),
              });
              return [tile.id, tile];
            }),
          ),
        };
        const found = checkFit(document, { measurer, from: 240, to: 760 });
        for (let width = 240; width <= 760; width += 7) {
          const layout = layoutCollection(document, width, { measurer });
          const clipped = flatTiles(layout).flatMap((laid) => {
            const size = tileSize(document, document.tiles[laid.id] as Tile, measurer);
            const over = size.blockSizeAt(laid.inlineSize) - laid.blockSize;
            // Within a px of the edge both answers are right.
            return Math.abs(over - 0.5) < 1 ? [] : [[laid.id, over > 0.5] as const];
          });
          for (const [id, is] of clipped) {
            const said = found.findings.some(
              ({ kind, tiles, ranges }) =>
                kind === 'clipped' &&
                tiles[0] === id &&
                ranges.some(({ from, to }) => width >= from && width <= to),
            );
            expect([width, id, said]).toEqual([width, id, is]);
          }
          expect(found.curves.blockSize[width - 240]).toBeCloseTo(layout.blockSize, 0);
          expect(found.curves.columns[width - 240]).toBe(layout.columns.length);
        }
      }),
      { numRuns: 25 },
    );
  }, 120_000);

  test('cuts ranges to the px', () => {
    const bad = new Set([3, 4, 5, 9, 20]);
    const ranges = rangesWhere(1, 20, (from, to) => {
      const hits = Array.from({ length: to - from + 1 }, (_, k) => bad.has(from + k));
      return hits.every(Boolean) ? 'all' : hits.some(Boolean) ? 'some' : 'none';
    });
    expect(rangeWords(ranges)).toBe('3–5, 9, 20');
  });

  test('refuses widths that are no range', () => {
    expect(() => checkFit(collection([[1, 1]]), { measurer, from: 500, to: 400 })).toThrow('from 500 to 400');
  });
});

describe('each kind of finding', () => {
  // Four columns in 1280 px: (1280 − 48 − 3·16) ÷ 4 = 296 px; rows of 160 px.
  test('hole, with the tile that does not fit; a last row that is not full is stray', () => {
    const holed = checkFit(
      collection([
        [3, 1],
        [2, 1],
        [2, 1],
      ]),
      { measurer, from: 1280, to: 1280 },
    );
    const holes = holed.findings.filter(({ kind }) => kind === 'hole');
    expect(holes.map(({ tiles, reason }) => [tiles, reason])).toEqual([
      [['t2'], 'One cell at column 4, row 1 stays empty: “0 of something” does not fit there.'],
    ]);
    const stray = checkFit(
      collection([
        [4, 1],
        [3, 1],
      ]),
      { measurer },
    );
    expect(stray.findings.map(({ kind, reason }) => [kind, reason])).toEqual([
      ['stray', 'One cell stays empty after “0 of something”, the last tile.'],
    ]);
  });

  test('overlap, but not over layers', () => {
    const document = collection([
      [2, 1, 1, 1],
      [2, 1, 1, 1],
      [2, 1, 3, 1],
    ]);
    expect(kindsOf(document, 1280)).toContain('overlap');
    const lifted = withTile(document, 't2', {
      place: { columnSpan: 2, rowSpan: 1, pin: { column: 1, row: 1 }, layer: 1 },
    });
    expect(kindsOf(lifted, 1280)).not.toContain('overlap');
  });

  test('overflow of tracks that are wider than the page, from where they are', () => {
    const base = collection(
      [
        [1, 1],
        [1, 1],
      ],
      2,
    );
    const document = { ...base, arrangement: { ...base.arrangement, columns: ['400px', '400px'] } };
    const finding = checkFit(document, { measurer }).findings.find(
      ({ kind, tiles }) => kind === 'overflow' && tiles[0] === 't2',
    );
    // 2·400 + 16 + 48 = 864; half a px is no finding.
    expect(finding?.ranges).toEqual([{ from: 240, to: 863 }]);
  });

  test('squashed by its figure, its words, or the width set by hand', () => {
    const base = collection([
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
    ]);
    const wide = withWords(base, 't1', { figure: 'wwwww wwwww wwwww' });
    // 17 letters of 8 px in one line, tracked by −0.035 em of 37.4 px, and 36 px of padding.
    const need = 17 * (8 - 0.035 * 37.4) + 36;
    const finding = checkFit(wide, { measurer }).findings.find(
      ({ kind, tiles }) => kind === 'squashed' && tiles[0] === 't1',
    );
    // Half a px is no finding.
    expect(finding?.ranges.at(-1)?.to).toBe(Math.ceil(4 * (need - 0.5) + 3 * 16 + 48) - 1);
    const set = withTile(base, 't1', { minimumWidth: 300 });
    expect(checkFit(set, { measurer, from: 1280, to: 1280 }).findings[0]?.reason).toBe(
      'Its minimum width is 300 px; one column of 4 gives it 296.',
    );
  });

  test('clipped words, with what they need and have', () => {
    const base = collection([[4, 1]]);
    const text = cardWith('text', 't1', { heading: '', text: 'snow '.repeat(200).trim() });
    const document = { ...base, tiles: { t1: { ...text, place: { columnSpan: 4, rowSpan: 1, pin: null } } } };
    const [finding] = checkFit(document, { measurer, from: 400, to: 400 }).findings;
    expect(finding?.kind).toBe('clipped');
    expect(finding?.reason).toMatch(
      /^Its words need \d+ px of height; one row at 352 px of width gives it 160\.$/,
    );
  });

  test('over-cropped, focus lost and soft pictures', () => {
    const base = collection([[4, 1]]);
    // A slot of 1232 × 160 is 7.7 : 1; a picture of 3 : 1 shows 39 % in it.
    expect(kindsOf(withPicture(base, 't1', asset(3000, 1000)), 1280)).toEqual(['over-cropped']);
    expect(kindsOf(withPicture(base, 't1', asset(7700, 1000)), 1280)).toEqual([]);
    expect(kindsOf(withPicture(base, 't1', asset(7700, 1000), { fit: 'contain' }), 1280)).toEqual([]);
    const moved = withPicture(base, 't1', asset(9000, 1000), {
      focalPoint: { x: 0.9, y: 0.5 },
      position: { x: 0, y: 0.5 },
    });
    expect(kindsOf(moved, 1280)).toEqual(['focus lost']);
    expect(kindsOf(withPicture(base, 't1', asset(1200, 160)), 1280)).toEqual(['soft']);
    expect(kindsOf(withPicture(base, 't1', asset(1232, 160)), 1280)).toEqual([]);
  });

  test('faint words, and pictures that nobody described, at every width', () => {
    const base = collection([[4, 1]]);
    const faint = withTile(base, 't1', { look: { fill: '#888888', textColour: '#999999', spread: 'end' } });
    const [finding] = checkFit(faint, { measurer }).findings;
    expect(finding?.kind).toBe('faint');
    expect(finding?.ranges).toEqual([{ from: 240, to: 2560 }]);
    expect(kindsOf(withPicture(base, 't1', asset(7700, 1000, ' ')), 1280)).toEqual(['no alternative text']);
  });

  test('out of order: seen above what is read before it', () => {
    const document = collection([
      [3, 1],
      [4, 1],
      [1, 1],
    ]);
    const [finding] = checkFit(document, { measurer, from: 1280, to: 1280 }).findings;
    expect([finding?.kind, finding?.tiles]).toEqual(['out of order', ['t3', 't2']]);
    const ordered = change(
      collection([
        [2, 1],
        [2, 1],
      ]),
      setOrder(['t2'], -1, 0, 'all'),
    ).document;
    expect(kindsOf(ordered, 1280)).toEqual(['out of order']);
  });

  test('a hidden tile is not looked at, and leaves no cell', () => {
    const document = collection([
      [4, 1],
      [3, 1],
    ]);
    const hidden = change(document, setHidden(['t2'], true, 0, 'all')).document;
    expect(kindsOf(hidden, 1280)).toEqual([]);
    expect(layoutCollection(hidden, 1280, { measurer }).tiles.map(({ id }) => id)).toEqual(['t1']);
  });
});

describe('what puts findings right', () => {
  const narrowing: CollectionDocument = {
    ...sample(
      [
        [2, 1],
        [1, 1],
        [1, 1],
        [2, 1],
        [1, 1],
        [1, 1],
      ],
      4,
    ),
    bands: [{ id: 'below', below: 700, arrangement: {}, tiles: {} }],
  };

  test('every fix that is called safe makes the finding go and brings none', () => {
    const wide = withWords(narrowing, 't2', { figure: 'wwwwwwwwwwwwwwww' });
    const report = checkFit(wide, { measurer });
    const before = new Set(report.findings.map(({ id }) => id));
    expect(report.findings.length).toBeGreaterThan(0);
    for (const finding of report.findings) {
      const fixes = fixesFor(wide, report, finding, { measurer });
      for (const { patch, safe } of fixes) {
        const after = checkFit(applyPatch(wide, patch), { measurer }).findings;
        if (!safe) continue;
        expect(after.map(({ id }) => id)).not.toContain(finding.id);
        expect(after.filter(({ id }) => !before.has(id))).toEqual([]);
      }
    }
  }, 60_000);

  test('a hole, a faint text colour and a squashed tile have at least one fix, and all that is safe is done in one go', () => {
    const broken = withTile(
      withWords({ ...narrowing, order: ['t1', 't2', 't4', 't3', 't5', 't6'] }, 't2', {
        figure: 'wwwwwwwwwwwwwwww',
      }),
      't3',
      { look: { fill: '#888888', textColour: '#999999', spread: 'end' } },
    );
    const report = checkFit(broken, { measurer });
    for (const finding of report.findings)
      expect([finding.title, fixesFor(broken, report, finding, { measurer }).length]).not.toEqual([
        finding.title,
        0,
      ]);
    const { patch, fixed } = fixAllSafe(broken, { measurer });
    expect(fixed).toBeGreaterThan(1);
    const after = applyPatch(broken, patch);
    expect(widthsAmiss(checkFit(after, { measurer }))).toBeLessThan(widthsAmiss(report));
  }, 60_000);

  test('a focal point that a position lost comes back', () => {
    const base = collection([[4, 1]]);
    const moved = withPicture(base, 't1', asset(9000, 1000), {
      focalPoint: { x: 0.9, y: 0.5 },
      position: { x: 0, y: 0.5 },
    });
    const report = checkFit(moved, { measurer, from: 900, to: 1400 });
    const lost = report.findings.find(({ kind }) => kind === 'focus lost');
    if (!lost) throw new Error('the focal point is lost');
    const fixes = fixesFor(moved, report, lost, { measurer, from: 900, to: 1400 });
    expect(fixes[0]).toMatchObject({ does: 'Around the focal point', safe: true });
  });

  test('what is ignored stays found and does not count', () => {
    const document = collection([
      [4, 1],
      [3, 1],
    ]);
    const [finding] = checkFit(document, { measurer }).findings;
    if (!finding) throw new Error('the last row is not full');
    const ignored = change(document, setIgnored(finding.kind, finding.tiles, true)).document;
    const report = checkFit(ignored, { measurer });
    expect(openFindings(report)).toEqual([]);
    expect(report.findings[0]?.ignored).toBe(true);
    expect(widthsAmiss(report)).toBe(0);
    expect(change(ignored, setIgnored(finding.kind, finding.tiles, false)).document.ignored).toBeUndefined();
  });

  test('the worst at each width is what is drawn', () => {
    const found = (severity: 'breaks' | 'wrong', from: number, to: number) =>
      ({ severity, ranges: [{ from, to }] }) as unknown as Parameters<typeof worstRuns>[0][number];
    expect(worstRuns([found('wrong', 240, 400), found('breaks', 300, 320)])).toEqual([
      { from: 240, to: 299, severity: 'wrong' },
      { from: 300, to: 320, severity: 'breaks' },
      { from: 321, to: 400, severity: 'wrong' },
    ]);
  });
});

describe('a picture between the parts of a card', () => {
  /** A card of one column and one row of so many px: a picture of 4 : 3 above a heading. */
  const card = (row: number): CollectionDocument => {
    const base = collection([[1, 1]], 1);
    const id = base.order[0] ?? '';
    const picture = {
      id: 'pic',
      kind: 'picture',
      picture: 'p',
      focalPoint: { x: 0.5, y: 0.5 },
      caption: '',
    } as const;
    const words = cardWith('text', id, { eyebrow: '', heading: 'Hut', text: '' });
    return {
      ...base,
      arrangement: { ...base.arrangement, autoRows: `${row}px`, maxInlineSize: 436 },
      tiles: {
        [id]: { ...words, parts: [picture, ...words.parts], place: base.tiles[id]?.place ?? words.place },
      },
      pictures: { p: asset(400, 300) },
    };
  };
  const about = (row: number, at: number) =>
    checkFit(card(row), { measurer, from: at, to: at }).findings.map(({ kind }) => kind);

  test('gives way to words, which are not clipped, and is said to show too little only then', () => {
    expect(about(600, 600)).toEqual([]);
    expect(about(240, 600)).toEqual([]);
    expect(about(120, 600)).toEqual(['over-cropped']);
    expect(about(30, 600)).toEqual(['clipped', 'over-cropped']);
  });

  test('is judged at each width as it is at that width alone', () => {
    const document = card(190);
    const { findings } = checkFit(document, { measurer, from: 240, to: 700 });
    const ranges = findings.find(({ kind }) => kind === 'over-cropped')?.ranges ?? [];
    const isIn = (width: number) => ranges.some(({ from, to }) => from <= width && width <= to);
    const alone = (width: number) =>
      checkFit(document, { measurer, from: width, to: width }).findings.some(
        ({ kind }) => kind === 'over-cropped',
      );
    const widths = Array.from({ length: 47 }, (_, k) => 240 + k * 10);
    expect(widths.map(isIn)).toEqual(widths.map(alone));
    expect(new Set(widths.map(isIn)).size).toBe(2);
  });

  test('takes rows in derived bands by which half of it shows', () => {
    const document = card(100);
    const wide = bandBearing(
      document,
      { index: 0, arrangement: document.arrangement },
      1,
      { low: 436, high: 436, lowPage: 436, highPage: 436 },
      measurer,
    );
    const rows = wide.leastRows(Object.values(document.tiles)[0] as Tile, 1) ?? 0;
    expect(rows).toBeGreaterThan(1);
    expect(rows).toBeLessThan(4);
  });
});
