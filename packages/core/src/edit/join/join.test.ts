import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anySteps, commandOf, start, type AnyStep } from '../../testing/anySteps.js';
import { change, type Command } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { withEntryIds, type NameEntry } from '../../check/entryIds.js';
import { addBreakpoint, moveBreakpoint, removeBreakpoint } from '../commands/bands.js';
import { addTile, moveInOrder, removeTiles, setLook } from '../commands/tiles.js';
import { groupTiles } from '../commands/groups.js';
import { insertTrack, removeTrack } from '../commands/tracks.js';
import { setArrangement, setTrack } from '../commands/arrangement.js';
import { setNamedLook } from '../commands/namedLooks.js';
import { setPin, setSpan } from '../commands/place.js';
import { byIdentity, parentsOf } from './byIdentity.js';
import { joinDocuments } from './join.js';
import { meetingWords } from './words.js';
import { hold, heldBy } from '../../testing/held.js';
import type { CollectionDocument } from '../../document/types.js';

/** Names as one tab gives them, which no other tab gives. */
const namesOf = (tab: string): NameEntry => {
  let k = 0;
  return (what) => `${what}-${tab}${k++}`;
};
const made = (tab: string, ...commands: Command[]) => {
  const name = namesOf(tab);
  return commands.reduce((document, command) => change(document, command, name).document, start);
};
const join = (ours: CollectionDocument, theirs: CollectionDocument, choices = {}) =>
  joinDocuments({ base: start, ours, theirs, otherwise: 'ours', choices });
const joinedWithout = (ours: CollectionDocument, theirs: CollectionDocument) => {
  const joined = join(ours, theirs);
  expect(joined.meetings).toEqual([]);
  return joined.document;
};

describe('two changes of one collection', () => {
  test('a gap stays in its band when the other tab removes the breakpoint before it', () => {
    const ours = made('a', setArrangement({ columnGap: 33 }, 2, 'band'));
    const document = joinedWithout(ours, made('b', removeBreakpoint(1)));
    expect(document.bands.map(({ id, arrangement }) => [id, arrangement.columnGap])).toEqual([
      [start.bands[1]?.id, 33],
    ]);
  });

  test('a track keeps its size when the other tab inserts one before it, and a pin its track', () => {
    const track = { axis: 'column', band: 0, setFor: 'band' } as const;
    const ours = made(
      'a',
      setTrack({ ...track, index: 2, size: '77px' }),
      setPin(['t2'], 0, { column: 3, row: 1 }),
    );
    const document = joinedWithout(ours, made('b', insertTrack({ ...track, index: 1 })));
    expect(document.arrangement.columns).toEqual(['1fr', '1fr', '1fr', '77px', '1fr', '1fr', '1fr']);
    expect(document.tiles.t2?.place.pin).toEqual({ column: 4, row: 1 });
    const fewer = joinedWithout(ours, made('b', removeTrack({ ...track, index: 0 })));
    expect(fewer.arrangement.columns).toEqual(['1fr', '77px', '1fr', '1fr', '1fr']);
    expect(fewer.tiles.t2?.place.pin).toEqual({ column: 2, row: 1 });
  });

  test('stops of a gradient are told apart by what they are', () => {
    const stop = (colour: string, at: number) => ({ colour, at });
    const fill = { kind: 'linear' as const, angle: 0, stops: [stop('#111111', 0), stop('#222222', 1)] };
    const base = change(start, setLook(['t1'], { fill })).document;
    const of = (document: CollectionDocument, change_: (stops: readonly object[]) => readonly object[]) => {
      const tile = document.tiles.t1 as NonNullable<typeof document.tiles.t1>;
      const before = tile.look.fill as typeof fill;
      return { ...before, stops: change_(before.stops) } as typeof fill;
    };
    const ours = change(
      base,
      setLook(['t1'], { fill: of(base, ([a, b]) => [a as object, { ...b, colour: '#0000ff' }]) }),
    );
    const theirs = change(
      base,
      setLook(['t1'], { fill: of(base, ([a, b]) => [a as object, stop('#00ff00', 0.5), b as object]) }),
      namesOf('b'),
    );
    const { document, meetings } = joinDocuments({
      base,
      ours: ours.document,
      theirs: theirs.document,
      otherwise: 'ours',
    });
    expect(meetings).toEqual([]);
    const joined = document.tiles.t1?.look.fill as typeof fill;
    expect(joined.stops.map(({ colour }) => colour)).toEqual(['#111111', '#00ff00', '#0000ff']);
  });

  test('what both add is there, in one order whoever joins', () => {
    const ours = made('a', addTile('text', 'mine', 1));
    const theirs = made('b', addTile('quote', 'yours', 1));
    const document = joinedWithout(ours, theirs);
    expect(document.order).toEqual(['t1', 'mine', 'yours', 't2', 't3', 't4', 't5', 't6']);
    expect(joinedWithout(theirs, ours).order).toEqual(document.order);
  });

  test('a tile that one deletes and the other changes is asked about, and either can be chosen', () => {
    const ours = made('a', hold(['t3'], { figure: '12' }));
    const theirs = made('b', removeTiles(['t3']));
    const { meetings, document } = join(ours, theirs);
    expect(meetings.map(({ path }) => path)).toEqual(['/tiles/t3']);
    expect(document.order).toEqual(start.order);
    expect(heldBy(document.tiles.t3)).toMatchObject({ figure: '12' });
    expect(join(ours, theirs, { '/tiles/t3': 'theirs' }).document).toEqual(theirs);
    const [meeting] = meetings;
    expect(meeting && meetingWords(meeting, ours, theirs)).toMatchObject({
      of: 'Tile “12 of something”',
      what: 'all of it',
      theirs: 'deleted',
    });
  });

  test('a tile put into a group that the other deletes is asked about', () => {
    const base = change(start, groupTiles(['t1', 't2'], 'g', 0)).document;
    const ours = change(base, groupTiles(['t3', 'g'], 'h', 0)).document;
    const theirs = change(base, removeTiles(['g'])).document;
    const of = (choices: Readonly<Record<string, 'ours' | 'theirs'>>) =>
      joinDocuments({ base, ours, theirs, otherwise: 'ours', choices });
    expect(of({}).meetings.map(({ path }) => path)).toEqual(['/tiles/g']);
    expect(of({}).document.tiles.g).toBeDefined();
    expect(Object.keys(of({ '/tiles/g': 'theirs' }).document.tiles).sort()).toEqual([
      'h',
      't3',
      't4',
      't5',
      't6',
    ]);
  });

  test('one value that both set is asked about, in words', () => {
    const ours = made('a', setSpan({ tiles: ['t2'], columnSpan: 3, band: 1, setFor: 'band' }));
    const theirs = made('b', setSpan({ tiles: ['t2'], columnSpan: 2, band: 1, setFor: 'band' }));
    const { meetings, document } = join(ours, theirs);
    expect(document).toEqual(ours);
    expect(meetings.map((each) => meetingWords(each, ours, theirs))).toEqual([
      { of: 'Tile “0 of something”, band below 1080 px', what: 'column span', ours: '3', theirs: '2' },
    ]);
  });

  test('breakpoints at one width are one too many', () => {
    const ours = made('a', addBreakpoint('mine', 800));
    const theirs = made('b', moveBreakpoint(1, 800));
    const { meetings, document } = join(ours, theirs);
    expect(meetings).toHaveLength(1);
    expect(document.bands.map(({ below }) => below)).toEqual([800, 640]);
  });

  test('a named look that one deletes and the other uses is kept, and said', () => {
    const moss = { id: 'moss', kind: 'colour', name: 'Moss', value: '#335544' } as const;
    const base = change(start, setNamedLook(moss)).document;
    const ours = change(base, setLook(['t1'], { fill: '{moss}' })).document;
    const { namedLooks: _, ...theirs } = base;
    const joined = joinDocuments({ base, ours, theirs, otherwise: 'theirs' });
    expect(joined.kept).toEqual(['/namedLooks/moss']);
    expect(joined.document.namedLooks?.moss).toEqual(moss);
  });

  test('moves of different tiles are both made', () => {
    const document = joinedWithout(made('a', moveInOrder(['t6'], 0)), made('b', moveInOrder(['t1'], 4)));
    expect(document.order).toEqual(['t6', 't2', 't3', 't4', 't5', 't1']);
  });
});

/** Everything a document says, by identity: where each value is, never by its position. */
function facts(document: CollectionDocument): Map<string, string> {
  const said = new Map<string, string>();
  const visit = (value: unknown, path: string): void => {
    if (typeof value !== 'object' || value === null) return void said.set(path, JSON.stringify(value));
    if (Array.isArray(value)) {
      const ids = value.map((each: unknown) => (each as { id?: unknown } | null)?.id);
      if (ids.every((id) => typeof id === 'string'))
        return value.forEach((each, k) => visit(each, `${path}/${ids[k] as string}`));
      return void said.set(path, JSON.stringify(value));
    }
    if (path.endsWith('/pin')) return void said.set(path, JSON.stringify(value));
    for (const [key, inner] of Object.entries(value))
      if (key !== 'order' || !Array.isArray(inner)) visit(inner, `${path}/${key}`);
  };
  visit(byIdentity(document), '');
  for (const [id, parent] of parentsOf(document)) said.set(`/tiles/${id}/group`, parent);
  return said;
}

const run = (steps: readonly AnyStep[], tab: string) => {
  const name = namesOf(tab);
  let document = start;
  steps.forEach(
    (step, k) => ({ document } = change(document, commandOf(document, step, `${tab}${k}`), name)),
  );
  return document;
};

describe('any two sequences of commands', () => {
  test('are joined to one sound document, whoever joins; nothing of either is missing or elsewhere but what was asked about', () => {
    fc.assert(
      fc.property(anySteps(6), anySteps(6), (left, right) => {
        const [a, b] = [run(left, 'a'), run(right, 'b')];
        const joined = joinDocuments({ base: start, ours: a, theirs: b, otherwise: 'ours' });
        const other = joinDocuments({ base: start, ours: b, theirs: a, otherwise: 'theirs' });
        expect(other.document).toEqual(joined.document);
        expect(other.meetings.map(({ path }) => path).sort()).toEqual(
          joined.meetings.map(({ path }) => path).sort(),
        );
        expect(checkDocument(joined.document).problems).toEqual([]);
        expect(withEntryIds(joined.document)).toBe(joined.document);

        const asked = joined.meetings.map(({ path }) => path.replace(/\/(after|below)$/, ''));
        const isAsked = (path: string) =>
          asked.some(
            (each) =>
              each === '' ||
              path === each ||
              path.startsWith(`${each}/`) ||
              bandsIn(each, path) ||
              isPlace(each, path),
          );
        const [was, mine, yours, is] = [start, a, b, joined.document].map(facts) as [
          Map<string, string>,
          Map<string, string>,
          Map<string, string>,
          Map<string, string>,
        ];
        const lost: string[] = [];
        for (const path of new Set([...was.keys(), ...mine.keys(), ...yours.keys(), ...is.keys()])) {
          if (isAsked(path) || isAboutDeleted(path, joined.document, [start, a, b])) continue;
          const [w, m, y] = [was.get(path), mine.get(path), yours.get(path)];
          const expected = m === w ? y : y === w || y === m ? m : undefined;
          if (is.get(path) !== expected) lost.push(`${path}: ${w} → ${m} | ${y}, joined ${is.get(path)}`);
        }
        expect(lost).toEqual([]);
      }),
      { numRuns: 400 },
    );
  });
});

/** Where a tile is held goes with the group that it lies in. */
const isPlace = (meeting: string, path: string) => {
  const tile = /^\/tiles\/([^/]+)\/group$/.exec(meeting)?.[1];
  return tile !== undefined && new RegExp(`/tiles/${tile}/(place/)?(pin|area|slot)$`).test(path);
};

/** Whether a meeting about bands at one width covers what a path says. */
const bandsIn = (meeting: string, path: string) =>
  /^\/bands\/\S+ \S+$/.test(meeting) &&
  meeting
    .slice(7)
    .split(' ')
    .some((id) => path.startsWith(`/bands/${id}/`));

/** What was said of a tile goes with it, once it is settled that it goes. */
function isAboutDeleted(
  path: string,
  joined: CollectionDocument,
  versions: readonly CollectionDocument[],
): boolean {
  const tile = /^\/(?:tiles|bands\/[^/]+\/(?:tiles|looks|groups))\/([^/]+)/.exec(path)?.[1];
  if (tile === undefined || Object.hasOwn(joined.tiles, tile)) return false;
  return versions.some(({ tiles }) => !Object.hasOwn(tiles, tile));
}
