import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { applyPatch, setTile, type CollectionDocument, type JsonPatch } from '@noria/core';
import { askAhead } from '../../api/ahead';
import { collectionPath } from '../../api/listedCollections';
import { composeStore, stats } from '../../testing/composeStore';
import { run as edit } from '../document/run';
import { acknowledged, sent } from '../document/documentSlice';
import { listAside } from './aside';
import { drainLeft } from './drain';
import { open } from './open';
import { dropOwnOutbox } from './outbox';

/** The browser’s synchronous storage, which has what it keeps as its own keys; there is no other one here. */
class Journal {
  [key: string]: unknown;
}
Object.defineProperties(Journal.prototype, {
  getItem: {
    value(this: Journal, key: string) {
      return this[key] ?? null;
    },
  },
  setItem: {
    value(this: Journal, key: string, value: string) {
      this[key] = value;
    },
  },
  removeItem: {
    value(this: Journal, key: string) {
      Reflect.deleteProperty(this, key);
    },
  },
});
let journal = new Journal();
/** A collection of its own for each test. */
let id = '';
let tests = 0;
Object.assign(globalThis, { window: { addEventListener: () => undefined } });

const start = stats([
  [1, 1],
  [2, 1],
]);
const named = (tile: string, name: string): JsonPatch => [
  { op: 'replace', path: `/tiles/${tile}/name`, value: name },
];

/** A server with the revisions of one collection, from the first; null: it was deleted. */
function server(revisions: readonly CollectionDocument[] | null) {
  const all = [...(revisions ?? [])];
  const sent: JsonPatch[] = [];
  const answer = (url: string, init: RequestInit): Response => {
    if (!revisions) return Response.json({ detail: 'There is no such collection.' }, { status: 404 });
    if (init.method === 'PATCH') {
      const patch = JSON.parse(init.body as string) as JsonPatch;
      const base = new Headers(init.headers).get('If-Match');
      if (base !== `"${all.length}"`) return Response.json({ detail: 'Stale.' }, { status: 412 });
      sent.push(patch);
      all.push(applyPatch(all.at(-1) ?? start, patch));
      return Response.json({ revision: all.length });
    }
    const of = /revisions\/(\d+)$/.exec(url);
    return of
      ? Response.json({ document: all[Number(of[1]) - 1] })
      : Response.json({
          id,
          name: 'Beds',
          revision: all.length,
          updatedAt: '',
          document: all.at(-1),
        });
  };
  Object.assign(globalThis, {
    fetch: jest.fn((url: string, init: RequestInit = {}) => Promise.resolve(answer(url, init))),
  });
  return { sent, all };
}

/** What a tab that is gone left unsent. */
const left = (revision: number, unsent: JsonPatch) => {
  journal[`noria-unsent:${id}:gone`] = JSON.stringify({
    revision,
    underWay: null,
    unsent,
    format: 2,
    write: Date.now(),
  });
};
const isLeft = () => `noria-unsent:${id}:gone` in journal;

async function opening() {
  const compose = composeStore(stats([[4, 4]]));
  await compose.run(open(id));
  return { ...compose, saving: () => compose.store.getState().document.saving };
}
const names = (document: CollectionDocument) => document.order.map((id) => document.tiles[id]?.name);

beforeEach(() => {
  id = `c${++tests}`;
  journal = new Journal();
  Object.assign(globalThis, { localStorage: journal });
});

/** Lets time pass. */
const later = (ms: number) => {
  const then = Date.now() + ms;
  jest.spyOn(Date, 'now').mockReturnValue(then);
};
afterEach(() => void jest.restoreAllMocks());

// What a test leaves with a question is not for the next one to send.
afterEach(() => dropOwnOutbox(id));

test('a collection is opened as it is stored, at its revision', async () => {
  server([start, applyPatch(start, named('t1', 'Huts'))]);
  const { document, store, steps } = await opening();
  expect(names(document())).toEqual(['Huts', 'Stat 2']);
  expect(store.getState().document).toMatchObject({ id, revision: 2 });
  expect(steps()).toEqual([]);
});

describe('what the address asked for before the scripts were there', () => {
  const path = () => collectionPath(id);
  /** Asks ahead, then something happens elsewhere, then the scripts are there. */
  const aheadThen = async (meanwhile: () => void) => {
    askAhead(path());
    await Promise.resolve();
    meanwhile();
    const opened = await opening();
    await new Promise((resolve) => setTimeout(resolve));
    return opened;
  };

  test('is opened, and asked for again once', async () => {
    server([start]);
    const { document, said } = await aheadThen(() => undefined);
    expect(names(document())).toEqual(['Stat 1', 'Stat 2']);
    expect(fetch).toHaveBeenCalledTimes(2);
    expect(said()).toBe('');
  });

  test('is brought up to what changed before anybody listened', async () => {
    const { all } = server([start]);
    const { document, store } = await aheadThen(() => all.push(applyPatch(start, named('t1', 'Huts'))));
    expect(names(document())).toEqual(['Huts', 'Stat 2']);
    expect(store.getState().document.revision).toBe(2);
  });

  test('is not what is opened where changes are left, which are sent first', async () => {
    const { all } = server([start]);
    left(1, named('t1', 'Bunks'));
    const { document } = await aheadThen(() => undefined);
    expect(names(document())).toEqual(['Bunks', 'Stat 2']);
    expect(all).toHaveLength(2);
  });

  test('that did not come is asked for when it is opened again', async () => {
    Object.assign(globalThis, { fetch: () => Promise.reject(new TypeError('away')) });
    askAhead(path());
    await expect(opening()).rejects.toThrow('The server does not answer.');
    server([start]);
    const { document } = await opening();
    expect(names(document())).toEqual(['Stat 1', 'Stat 2']);
  });
});

describe('what another tab left unsent', () => {
  test('is sent first, said, and part of what is opened', async () => {
    const { sent } = server([start]);
    left(1, named('t1', 'Bunks'));
    const { document, said } = await opening();
    expect(sent).toEqual([named('t1', 'Bunks')]);
    expect(names(document())).toEqual(['Bunks', 'Stat 2']);
    expect(said()).toBe('Changes from an earlier visit were saved.');
    expect(isLeft()).toBe(false);
  });

  test('is joined with what came meanwhile, where both are about other things', async () => {
    server([start, applyPatch(start, named('t2', 'Huts'))]);
    left(1, named('t1', 'Bunks'));
    const { document } = await opening();
    expect(names(document())).toEqual(['Bunks', 'Huts']);
  });

  test('is asked about where both meet in one value, and is shown as it was left', async () => {
    const { sent } = server([start, applyPatch(start, named('t1', 'Huts'))]);
    left(1, named('t1', 'Bunks'));
    const { document, saving, store } = await opening();
    expect(sent).toEqual([]);
    expect(names(document())).toEqual(['Bunks', 'Stat 2']);
    expect(saving()).toMatchObject({ state: 'asked' });
    expect(store.getState().document.question?.meetings).toHaveLength(1);
  });

  test('only after the collection was opened is asked about too, where nothing is unsaved on the screen', async () => {
    server([start, applyPatch(start, named('t1', 'Huts'))]);
    const { run, store, document, saving, warned } = await opening();
    left(1, named('t1', 'Bunks'));
    await run(drainLeft);
    // Its tab may come back from a reload.
    expect(saving()).toMatchObject({ state: 'saved' });
    later(10_000);
    await run(drainLeft);
    expect(saving()).toMatchObject({ state: 'asked' });
    expect(store.getState().document.question?.meetings).toHaveLength(1);
    expect(names(document())).toEqual(['Bunks', 'Stat 2']);
    expect(warned()).toBeFalsy();
  });

  test('waits until what is unsaved on the screen is saved', async () => {
    const { all } = server([start, applyPatch(start, named('t1', 'Huts'))]);
    const { run, store, document, saving } = await opening();
    left(1, named('t1', 'Bunks'));
    run(edit('Rename', setTile(['t2'], { name: 'Beds' })));
    await run(drainLeft);
    later(10_000);
    await run(drainLeft);
    expect(names(document())).toEqual(['Huts', 'Beds']);
    expect(isLeft()).toBe(true);
    all.push(document());
    store.dispatch(sent('k'));
    store.dispatch(acknowledged(3));
    await run(drainLeft);
    expect(saving()).toMatchObject({ state: 'asked' });
  });

  test('of a collection that was deleted is not lost', async () => {
    server(null);
    left(1, named('t1', 'Bunks'));
    await expect(opening()).rejects.toThrow('There is no such collection.');
    expect(isLeft()).toBe(true);
  });

  test('that fits no version any more is set aside, and said', async () => {
    server([start]);
    left(1, [{ op: 'replace', path: '/tiles/gone/name', value: 'Bunks' }]);
    const { document, warned } = await opening();
    expect(names(document())).toEqual(['Stat 1', 'Stat 2']);
    expect(warned()).toContain('Set aside');
    expect(await listAside()).toHaveLength(1);
  });
});

test('a server that is just starting is an error that passes, and nothing that was left is lost', async () => {
  server([start]);
  left(1, named('t1', 'Bunks'));
  Object.assign(globalThis, {
    fetch: () => Promise.resolve(Response.json({ detail: 'Not yet.' }, { status: 503 })),
  });
  await expect(opening()).rejects.toThrow();
  expect(isLeft()).toBe(true);
});
