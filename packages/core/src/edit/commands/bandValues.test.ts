import { LETTERS } from '../../testing/layoutHtml.js';
import { describe, expect, test } from '@jest/globals';
import { bandOf, placeIn } from '../../document/bands.js';
import { inheritHere, setHereIn } from './inherit.js';
import {
  inheritLook,
  inheritLookEverywhere,
  setBandLook,
  setBandTypeSizes,
  setLookFor,
} from './bandLooks.js';
import { removeNamedLook, setNamedLook } from './namedLooks.js';
import fc from 'fast-check';
import { change, type Command } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { documentIn } from '../../document/bandLooks.js';
import { duplicateTile } from './copies.js';
import { moveToCell } from './moveToCell.js';
import { pageCss } from '../../export/page/pageCss.js';
import { removeTiles } from './tiles.js';
import { sample } from '../../testing/sample.js';
import { setArrangement } from './arrangement.js';
import { setOfKind, setKind } from './kinds.js';
import { setHidden, setOrder, setSpan } from './place.js';
import { setNeverBelow, setQueries, setWithNext } from './needs.js';
import type { CollectionDocument } from '../../document/types.js';

const base = sample(
  [
    [1, 1],
    [2, 1],
    [1, 1],
  ],
  4,
);
const after = (document: CollectionDocument, ...commands: Command[]) => {
  const made = commands.reduce((one, command) => change(one, command).document, document);
  expect(checkDocument(made).problems).toEqual([]);
  return made;
};
const at = (band: number) => ({ band, setFor: 'band' as const });

describe('what a band sets', () => {
  const made = after(
    base,
    setKind('fluid', 2, 'band'),
    setOfKind('fluid', { min: 180 }, 2, 'band'),
    setArrangement({ rowGap: 3 }, 2, 'band'),
    setSpan({ tiles: ['t2'], ...at(2), columnSpan: 1, rowSpan: 2 }),
    setHidden(['t1'], true, 2, 'band'),
    setOrder(['t3'], -2, 2, 'band'),
    setBandTypeSizes({ headingSize: 15 }, 2),
    setBandLook(['t2'], { bodySize: 11, align: 'center' }, 2),
  );

  test('is listed in one place, and inherited again one by one or all at once', () => {
    const listed = setHereIn(made, 2).filter(
      ({ field }) => !['columns', 'columnGap', 'padding'].includes(field),
    );
    expect(listed.map(({ of, id, field }) => [of, id, field].join(' '))).toEqual([
      'arrangement  rowGap',
      'arrangement  kind',
      'arrangement  fluid',
      'look  headingSize',
      'place t1 hidden',
      'place t2 span',
      'place t3 order',
      'look t2 bodySize',
      'look t2 align',
    ]);
    for (const each of setHereIn(made, 2)) {
      const inherited = after(made, inheritHere([each], 2));
      expect(setHereIn(inherited, 2)).toHaveLength(setHereIn(made, 2).length - 1);
    }
    const none = after(made, inheritHere(setHereIn(made, 2), 2));
    expect(none.bands[1]).toEqual({
      id: 'narrow',
      below: 640,
      arrangement: {},
      tiles: {},
      groups: undefined,
    });
    expect(setHereIn(none, 2)).toEqual([]);
  });

  test('holds in that band and narrower ones, not in wider ones', () => {
    expect(placeIn(made, made.tiles.t1 ?? fail(), 2).hidden).toBe(true);
    expect(placeIn(made, made.tiles.t1 ?? fail(), 1).hidden).toBe(false);
    expect([1, 2].map((band) => bandOf(made, band).arrangement.kind)).toEqual(['bento', 'fluid']);
    expect(documentIn(made, 2).look.headingSize).toBe(15);
    expect(documentIn(made, 2).tiles.t2?.look).toMatchObject({ bodySize: 11, align: 'center' });
    expect(documentIn(made, 1)).toBe(made);
    expect(documentIn(made, 2)).toBe(documentIn(made, 2));
  });

  test('of looks goes back by band, or in all of them', () => {
    const here = after(made, inheritLook(['t2'], 2, ['align']));
    expect(here.bands[1]?.looks).toEqual({ t2: { bodySize: 11 } });
    expect(after(made, inheritLookEverywhere(['t2'], ['align', 'bodySize'])).bands[1]?.looks).toBeUndefined();
    expect(after(made, inheritLook(null, 2, ['headingSize'])).bands[1]?.typeSizes).toBeUndefined();
    expect(after(made, setBandLook(['t1'], { headingSize: 2 }, 0)).tiles.t1?.look.headingSize).toBe(6);
  });

  test('goes along with a copy, and away with its tile', () => {
    const copied = after(
      made,
      duplicateTile(made, 't2', 1, () => 'copy'),
    );
    expect(copied.bands[1]?.looks?.copy).toEqual({ bodySize: 11, align: 'center' });
    const gone = after(made, removeTiles(['t2', 't3']));
    expect(gone.bands[1]?.looks).toEqual({});
    expect(Object.keys(gone.bands[1]?.tiles ?? {})).toEqual(['t1']);
  });

  test('is written as queries of the container, or of the window', () => {
    const none = () => 'none';
    expect(pageCss(made, none, LETTERS)).toMatch(/@container \(width < 640px\) \{/);
    const media = pageCss(after(made, setQueries('media')), none, LETTERS);
    expect(media).toMatch(/@media \(width < 640px\) \{\n {2}\[data-tile="t1"\] \{\n {4}display: none;/);
    expect(media).not.toContain('@container');
    expect(after(made, setQueries('media'), setQueries('container')).queries).toBeUndefined();
  });
});

test('hidden tiles stand aside when others are moved, and needs are set and taken back', () => {
  const hidden = after(base, setHidden(['t1'], true, 0, 'all'));
  const moved = after(hidden, moveToCell(hidden, 't3', 0, { column: 1, row: 1 }).command);
  expect(moved.order).toEqual(['t1', 't3', 't2']);
  const needing = after(base, setNeverBelow(['t1'], 200.4), setWithNext(['t1'], true));
  expect(needing.tiles.t1).toMatchObject({ minimumWidth: 200, keepWithNext: true });
  expect(after(needing, setNeverBelow(['t1'], null), setWithNext(['t1'], false)).tiles.t1).toEqual(
    base.tiles.t1,
  );
});

const fail = (): never => {
  throw new Error('the tile is there');
};

describe('looks by band', () => {
  const border = { width: 2, paint: '#112233' };
  const looks = (document: CollectionDocument, band: number) =>
    documentIn(document, band).tiles.t1?.look ?? fail();

  test('hold in one band and narrower ones, any of them', () => {
    const values = { fill: '#ff0000', padding: 4, radius: 0, border, headingWeight: 800 } as const;
    const made = after(base, setLookFor(['t1'], values, 1, 'band'));
    expect(looks(made, 1)).toMatchObject(values);
    expect(looks(made, 2)).toMatchObject(values);
    expect(looks(made, 0)).toEqual(base.tiles.t1?.look);
  });

  test('let go of what the tile has: a border is none, padding and radius are as the collection’s', () => {
    const framed = after(base, setLookFor(['t1'], { border, padding: 2, radius: 3 }, 0, 'band'));
    const gone = { border: undefined, padding: undefined, radius: undefined, headingWeight: undefined };
    const made = after(framed, setLookFor(['t1'], gone, 1, 'band'));
    const { tilePadding, radius } = base.look;
    expect(made.bands[0]?.looks?.t1).toEqual({ border: null, padding: tilePadding, radius });
    expect('border' in looks(made, 1)).toBe(false);
    expect(pageCss(made, () => 'none', LETTERS)).toMatch(
      /@container \(width < 1080px\) \{\n {2}\[data-tile="t1"\] \{[^}]*border: none/,
    );
  });

  test('that are set for all widths are what every band resolves to, until one is set in one', () => {
    const fills = ['#111111', '#222222', '#333333'];
    const steps = fc.array(
      fc.record({
        band: fc.integer({ min: 0, max: 2 }),
        setFor: fc.constantFrom('band' as const, 'all' as const),
        padding: fc.integer({ min: 0, max: 40 }),
        fill: fc.constantFrom(...fills),
        border: fc.constantFrom(undefined, border),
        columnGap: fc.integer({ min: 0, max: 40 }),
        columnSpan: fc.integer({ min: 1, max: 2 }),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(steps, (all) => {
        let made: CollectionDocument = {
          ...base,
          bands: base.bands.map((each) => ({ ...each, arrangement: {} })),
        };
        // What each band says, by hand: what is not said is inherited from the next wider one.
        let said: (object | null)[] = [null, null, null];
        for (const { band, setFor, ...values } of all) {
          const { columnGap, columnSpan, ...look } = values;
          made = after(
            made,
            setLookFor(['t1'], look, band, setFor),
            setArrangement({ columnGap }, band, setFor),
            setSpan({ tiles: ['t1'], band, setFor, columnSpan }),
          );
          if (setFor === 'all') said = [values, null, null];
          else said[band] = values;
        }
        [0, 1, 2].forEach((band) => {
          const wanted = said.slice(0, band + 1).findLast((each) => each !== null);
          if (!wanted) return;
          const { padding, fill, border: line } = looks(made, band);
          const { columnSpan } = placeIn(made, made.tiles.t1 ?? fail(), band);
          const { columnGap } = bandOf(made, band).arrangement;
          expect({ padding, fill, border: line, columnGap, columnSpan }).toEqual(wanted);
        });
      }),
      { numRuns: 60 },
    );
  });

  test('follow a named look that is removed, and pictures that are not there are refused', () => {
    const named = after(
      base,
      setNamedLook({ id: 'moss', name: 'Moss', kind: 'colour', value: '#335533' }),
      setLookFor(['t1'], { fill: '{moss}' }, 1, 'band'),
    );
    expect(after(named, removeNamedLook('moss')).bands[0]?.looks?.t1?.fill).toBe('#335533');
    const fill = {
      kind: 'picture',
      picture: 'none',
      focalPoint: { x: 0.5, y: 0.5 },
      tint: { colour: '#000000', opacity: 0 },
    } as const;
    const wrong = change(base, setLookFor(['t1'], { fill }, 1, 'band')).document;
    expect(checkDocument(wrong).problems.map(({ message }) => message)).toEqual([
      'There is no picture “none” in the collection. Add it to “pictures”, or choose another fill.',
    ]);
  });
});
