import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cellsOf } from '../../arrangements/cells.js';
import { resolvedBandOf, resolvedBands } from '../../arrangements/bands.js';
import { holdsCells } from '../../arrangements/questions.js';
import { checkDocument } from '../../check/checkDocument.js';
import { bandAt } from '../../document/bands.js';
import { correctionsOf, withDerivedOf, withoutDerived } from '../../document/derived.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import {
  addBreakpoint,
  moveBreakpoint,
  removeBreakpoint,
  setNarrowerBands,
} from '../../edit/commands/bands.js';
import { inheritHere, setHereIn } from '../../edit/commands/inherit.js';
import { setPin, setSpan } from '../../edit/commands/place.js';
import { removeTiles } from '../../edit/commands/tiles.js';
import { joinDocuments } from '../../edit/join/join.js';
import { change, type Command } from '../../edit/patch/change.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { newTile } from '../../parts/newTile.js';
import { sample, type SampleSpans } from '../../testing/sample.js';
import { withHeld } from '../../testing/held.js';
import { checkFit } from '../fit/checkFit.js';
import { needOf } from '../fit/needs.js';
import { followWider } from './followWider.js';
import { likeness } from './spanChoices.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

const measurer = LETTERS;
const FOLDER = join(__dirname, '../../../../../demo');
const DEMOS = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.noria.json'))
  .map((file) => JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as CollectionDocument)
  .map((document) => [document.name, document] as const);

/** The same collection with bands that are derived, none of them yet. */
const derived = (document: CollectionDocument): CollectionDocument => ({
  ...document,
  bands: [],
  narrowerBands: 'derived',
});

let k = 0;
const followed = (document: CollectionDocument): CollectionDocument => {
  const bands = followWider(document, measurer, () => `b${++k}`);
  return checkDocument(bands).document as CollectionDocument;
};

const after = (document: CollectionDocument, ...commands: Command[]) =>
  commands.reduce((one, command) => followed(change(one, command).document), document);

/** What bands say, whatever they are called. */
const said = ({ bands }: CollectionDocument) => bands.map(({ id: _, ...rest }) => rest);

const bentos = fc
  .record({
    columns: fc.integer({ min: 2, max: 8 }),
    tiles: fc.array(
      fc.record({
        span: fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 2 })),
        words: fc.integer({ min: 1, max: 10 }),
      }),
      { minLength: 1, maxLength: 14 },
    ),
  })
  .map(({ columns, tiles }): CollectionDocument => {
    const spans = tiles.map(({ span: [across, down] }): SampleSpans => [Math.min(across, columns), down]);
    const base = sample(spans, columns);
    const made = tiles.map(({ words }, k): [TileId, Tile] => {
      const id = `t${k + 1}`;
      return [id, withHeld(base.tiles[id], { figure: 'w'.repeat(words), label: 'snow' })];
    });
    return derived({ ...base, tiles: Object.fromEntries(made) });
  });

/** What is amiss in the narrower bands of a collection. */
function amiss(document: CollectionDocument): string[] {
  const bearable = (id: TileId) =>
    needOf(document, document.tiles[id] as Tile, measurer, 240).inlineSize <= 240 - 48;
  const top = document.bands[0]?.below ?? 0;
  if (top === 0) return [];
  const { findings } = checkFit(document, { measurer, from: 240, to: top - 1 });
  return findings
    .filter(
      ({ kind, tiles }) =>
        kind === 'hole' || kind === 'out of order' || (kind === 'squashed' && tiles.every(bearable)),
    )
    .map(({ title }) => title);
}

/** Tiles that are alike and follow each other in a band, but are not so in the next narrower one. */
function unlike(document: CollectionDocument): string[] {
  return resolvedBands(document)
    .slice(1)
    .flatMap((band) => {
      const wide = cellsOf(document, resolvedBandOf(document, band.index - 1));
      const here = cellsOf(document, band);
      const spanOf = (k: number) => `${here[k]?.columnSpan} × ${here[k]?.rowSpan}`;
      const like = (k: number) =>
        likeness(document, document.tiles[document.order[k] as TileId] as Tile, {
          columns: wide[k]?.columnSpan ?? 0,
          rows: wide[k]?.rowSpan ?? 0,
        });
      return document.order.flatMap((id, k) =>
        k > 0 && like(k) === like(k - 1) && spanOf(k) !== spanOf(k - 1)
          ? [`${id} below ${band.below}: ${spanOf(k - 1)}, ${spanOf(k)}`]
          : [],
      );
    });
}

describe('the width at which one works', () => {
  const cards = derived(
    sample(
      [
        [1, 1],
        [1, 1],
        [1, 1],
        [1, 1],
      ],
      6,
    ),
  );
  const at = (document: CollectionDocument, shown?: number) =>
    followWider(document, measurer, (position) => `b${position}`, shown);
  const cut = change(
    at(cards),
    setArrangement({ columns: Array.from({ length: 12 }, () => '1fr') }, 0, 'all'),
  );

  test('stays in the widest band, whatever is set there', () => {
    expect(at(cut.document).bands[0]?.below).toBeGreaterThan(1280);
    const made = at(cut.document, 1280);
    expect(made.bands[0]?.below).toBe(1280);
    expect(bandAt(made, 1280).index).toBe(0);
    expect(checkDocument(made).problems).toEqual([]);
    // Nothing but the document decides from then on.
    expect(at(made)).toBe(made);
    expect(at(change(made, setArrangement({ columnGap: 8 }, 0, 'all')).document, 1400).bands[0]?.below).toBe(
      1280,
    );
  });

  test('changes nothing where it is in a narrower band, or the widest reaches it by itself', () => {
    expect(at(cut.document, 300)).toEqual(at(cut.document));
    expect(at({ ...cut.document, bands: [] }, 1023)).toEqual(at({ ...cut.document, bands: [] }));
    expect(at(cut.document, 2400)).toEqual(at(cut.document));
    expect(at(cut.document).unbroken).toBeUndefined();
  });
});

describe('derived bands', () => {
  test.each(Array.from({ length: 23 }, (_, k) => k + 2))('of %d equal cards keep them equal', (count) => {
    for (const columns of new Set([3, 4, Math.min(count, 8)])) {
      const cards = Array.from({ length: count }, () => [1, 1] as const);
      const made = followed(derived(sample(cards, columns)));
      expect([amiss(made), unlike(made)]).toEqual([[], []]);
      for (const band of made.bands) {
        const spans = Object.values(band.tiles).map(({ columnSpan, rowSpan }) => [columnSpan, rowSpan]);
        expect(spans).toEqual(cards.map(() => spans[0]));
      }
    }
  });

  test('of four equal cards are two by two, then one', () => {
    const made = followed(
      derived(
        sample(
          Array.from({ length: 4 }, () => [1, 1] as const),
          4,
        ),
      ),
    );
    expect(made.bands.map(({ arrangement }) => arrangement.columns?.length)).toEqual([2, 1]);
  });

  test('of cards of one span stay equal, whatever is in them', () => {
    const base = sample(
      Array.from({ length: 4 }, () => [1, 1] as const),
      6,
    );
    const tiles = { ...base.tiles, t1: newTile('text', 't1'), t3: newTile('text', 't3') };
    const made = followed(derived({ ...base, tiles }));
    expect(made.bands.map(({ arrangement }) => arrangement.columns?.length)).toEqual([4, 2, 1]);
    const spans = Object.values(made.bands[0]?.tiles ?? {}).map(({ columnSpan, rowSpan }) => [
      columnSpan,
      rowSpan,
    ]);
    expect(spans).toEqual(Array(4).fill([1, 1]));
  });

  test('never make a card of one by two one by three', () => {
    const made = followed(
      derived(
        sample(
          Array.from({ length: 5 }, () => [1, 2] as const),
          5,
        ),
      ),
    );
    const rows = made.bands.flatMap(({ tiles }) => Object.values(tiles).map(({ rowSpan }) => rowSpan));
    expect(new Set(rows)).toEqual(new Set([2]));
  });

  test.each(DEMOS)('of “%s” have no hole, no squash, and keep order and equal cards', (_, demo) => {
    const made = followed(derived(demo));
    expect(checkDocument(made).problems).toEqual([]);
    if (holdsCells(demo.arrangement.kind)) expect([amiss(made), unlike(made)]).toEqual([[], []]);
    else expect(made.bands).toEqual([]);
  });

  test('of any bento have no hole, no squash, and keep order and equal cards', () => {
    fc.assert(
      fc.property(bentos, (document) => {
        const made = followed(document);
        expect(checkDocument(made).problems).toEqual([]);
        expect([amiss(made), unlike(made)]).toEqual([[], []]);
      }),
      { numRuns: 40 },
    );
  }, 120_000);
});

describe('bands that follow', () => {
  const edits = fc.array(
    fc.oneof(
      fc.record({ what: fc.constant('span'), tile: fc.nat(), a: fc.integer({ min: 1, max: 4 }) }),
      fc.record({ what: fc.constant('gap'), tile: fc.nat(), a: fc.integer({ min: 0, max: 40 }) }),
      fc.record({ what: fc.constant('remove'), tile: fc.nat(), a: fc.nat() }),
      fc.record({ what: fc.constant('pin'), tile: fc.nat(), a: fc.integer({ min: 1, max: 8 }) }),
    ),
    { minLength: 1, maxLength: 4 },
  );

  test('are what deriving anew gives, after any edits in the widest band too', () => {
    fc.assert(
      fc.property(bentos, edits, (document, asked) => {
        let live = followed(document);
        let plain = document;
        for (const { what, tile, a } of asked) {
          const id = live.order[tile % Math.max(1, live.order.length)];
          if (id === undefined) break;
          const command =
            what === 'span'
              ? setSpan({ tiles: [id], band: 0, setFor: 'band', columnSpan: a, rowSpan: 1 })
              : what === 'gap'
                ? setArrangement({ columnGap: a }, 0, 'band')
                : what === 'pin'
                  ? setPin([id], 0, { column: a, row: 2 })
                  : removeTiles([id]);
          live = after(live, command);
          plain = change(plain, command).document;
        }
        expect(said(live)).toEqual(said(followed({ ...plain, bands: [] })));
        expect(followWider(live, measurer, () => 'new')).toBe(live);
      }),
      { numRuns: 20 },
    );
  }, 120_000);

  const four = followed(
    derived(
      sample(
        Array.from({ length: 4 }, () => [1, 1] as const),
        4,
      ),
    ),
  );
  const span = setSpan({ tiles: ['t1'], band: 1, setFor: 'band', columnSpan: 2, rowSpan: 1 });

  test('keep what was corrected, and derive the rest', () => {
    const made = after(four, span, setArrangement({ columnGap: 40 }, 0, 'band'));
    expect(made.bands[0]?.tiles.t1).toEqual({ columnSpan: 2, rowSpan: 1 });
    expect(made.bands[0]?.tiles.t2?.derived).toBe(true);
    const wider = after(four, setArrangement({ columnGap: 40 }, 0, 'band'));
    expect(wider.bands[0]?.below).toBeGreaterThan(four.bands[0]?.below ?? 0);
    expect(made.bands.map(({ below }) => below)).toEqual(wider.bands.map(({ below }) => below));
    expect(amiss(made)).toEqual([]);
  });

  test('let go of a correction that is taken back', () => {
    const corrected = after(four, span);
    const own = setHereIn(corrected, 1).filter((each) => !each.derived);
    expect(own.map(({ id, field }) => [id, field])).toEqual([['t1', 'span']]);
    expect(said(after(corrected, inheritHere(own, 1)))).toEqual(said(four));
  });

  test('keep columns and other values that a band sets', () => {
    const made = after(four, setArrangement({ columns: ['1fr', '2fr', '1fr'], rowGap: 3 }, 1, 'band'));
    expect(made.bands[0]?.arrangement).toMatchObject({ columns: ['1fr', '2fr', '1fr'], rowGap: 3 });
    expect(correctionsOf(made.bands[0] as never)?.arrangement).toMatchObject({ rowGap: 3 });
    const again = after(made, removeTiles(['t4']));
    expect(again.bands[0]?.arrangement.columns).toEqual(['1fr', '2fr', '1fr']);
    expect(again.bands[0]?.tiles.t3?.derived).toBe(true);
  });

  test('begin where a breakpoint was moved to or added, and not where one was removed', () => {
    const below = four.bands[0]?.below ?? 0;
    const moved = after(four, moveBreakpoint(1, below + 60));
    expect(moved.bands.map((band) => [band.below, band.arrangement.columns?.length])).toEqual([
      [below + 60, 2],
      [four.bands[1]?.below, 1],
    ]);
    expect(after(moved, removeTiles(['t4'])).bands[0]?.below).toBe(below + 60);
    const added = after(four, addBreakpoint('mine', 900));
    expect(added.bands[0]).toMatchObject({
      id: 'mine',
      below: 900,
      arrangement: { columns: Array(4).fill('1fr') },
    });
    expect(said(after(added, removeBreakpoint(1)))).toEqual(said(four));
    const removed = after(four, removeBreakpoint(1));
    expect(removed.bands.map((band) => band.below)).toEqual([four.bands[1]?.below]);
    expect(after(removed, removeTiles(['t4'])).bands.every((band) => band.below < below)).toBe(true);
  });

  test('stay as they are when they are set by hand from then on', () => {
    const byHand = change(four, setNarrowerBands(null)).document;
    expect(followWider(byHand, measurer, () => 'new')).toBe(byHand);
    expect(after(byHand, removeTiles(['t4'])).bands.map(({ below }) => below)).toEqual(
      four.bands.map(({ below }) => below),
    );
    const again = after(byHand, setNarrowerBands([]));
    expect(said(again)).toEqual(said(four));
  });

  test('are no matter to decide where two changed what they are derived from', () => {
    const ours = after(four, setArrangement({ columnGap: 40 }, 0, 'band'));
    const theirs = after(four, removeTiles(['t4']));
    const joined = joinDocuments({ base: four, ours, theirs, otherwise: 'ours' });
    expect(joined.meetings).toEqual([]);
    expect(joined.document.bands.length).toBeGreaterThan(0);
    const both = after(four, removeTiles(['t4']), setArrangement({ columnGap: 40 }, 0, 'band'));
    expect(said(followed(joined.document))).toEqual(said(both));
  });

  test('keep what each of two set in them', () => {
    const ours = after(four, span);
    const theirs = after(four, setArrangement({ rowGap: 3 }, 1, 'band'));
    const { document, meetings } = joinDocuments({ base: four, ours, theirs, otherwise: 'ours' });
    expect(meetings).toEqual([]);
    expect(document.bands[0]?.tiles.t1).toEqual({ columnSpan: 2, rowSpan: 1 });
    expect(document.bands[0]?.arrangement.rowGap).toBe(3);
  });

  test('can be left out of a version and put back', () => {
    const corrected = after(four, span);
    const bare = withoutDerived(corrected);
    expect(bare.bands.map(({ tiles }) => tiles)).toEqual([{ t1: { columnSpan: 2, rowSpan: 1 } }]);
    expect(withDerivedOf(bare, corrected)).toEqual(corrected);
  });
});
