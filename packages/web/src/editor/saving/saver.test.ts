import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { change, renameCollection, setPart, setQueries } from '@noria/core';
import { makeStore } from '../../app/store';
import { startSaving } from './saver';
import { stats } from '../../testing/composeStore';
import { redo, run, undo } from '../document/run';
import { amended, opened } from '../document/documentSlice';
import { thisTab } from '../../api/kept/tab';
import { decide } from './join';
import { listAside } from './aside';
import { dropOutbox, readOutbox } from './outbox';
import type { CollectionDocument, JsonPatch } from '@noria/core';

const OWN = { collection: 'c', tab: thisTab };

/** The browser’s synchronous storage. */
const journal = new Map<string, string>();
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => journal.get(key) ?? null,
    setItem: (key: string, value: string) => void journal.set(key, value),
    removeItem: (key: string) => void journal.delete(key),
  },
  window: { addEventListener: () => undefined },
});

interface Sent {
  readonly method: string;
  readonly changeId: string | null;
  readonly basedOn: string | null;
  readonly patch: JsonPatch;
}

/** A server that answers what it is told to, one answer a request; the last one stays. */
function serverOf(...answers: readonly (() => Response | Promise<Response>)[]) {
  const sent: Sent[] = [];
  let k = 0;
  const fetch = (_: string, init: RequestInit = {}) => {
    const headers = new Headers(init.headers);
    sent.push({
      method: init.method ?? 'GET',
      changeId: headers.get('Idempotency-Key'),
      basedOn: headers.get('If-Match'),
      patch: typeof init.body === 'string' ? (JSON.parse(init.body) as JsonPatch) : [],
    });
    const answer = answers[Math.min(k++, answers.length - 1)];
    return Promise.resolve().then(() => answer?.() ?? Response.error());
  };
  Object.assign(globalThis, { fetch });
  return sent;
}

const saved = (revision: number) => () => Response.json({ revision });
const problem = (status: number, detail: string) => () => Response.json({ detail }, { status });
const away = () => Promise.reject(new TypeError('fetch failed'));

/** Lets so many ms go by, with all that was promised in them. */
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

function open() {
  startSaving();
  const store = makeStore();
  store.dispatch(opened({ id: 'c', document: stats([[1, 1]]), revision: 4, unsent: [] }));
  return {
    store,
    rename: (name: string) => store.dispatch(run('Name', renameCollection(name))),
    state: () => store.getState().document,
  };
}

const namesIn = (patch: JsonPatch) =>
  patch.map((operation) => ('value' in operation ? operation.value : null));

beforeEach(async () => {
  await dropOutbox(OWN);
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

describe('saving', () => {
  test('changes in close succession go as one, based on the revision that was read', async () => {
    const sent = serverOf(saved(5));
    const { rename, state } = open();
    rename('A');
    rename('B');
    expect(state().saving.state).toBe('saving');
    await pass(500);
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({ method: 'PATCH', basedOn: '"4"' });
    expect(namesIn(sent[0]?.patch ?? [])).toEqual(['A', 'B']);
    expect(state()).toMatchObject({ revision: 5, saving: { state: 'saved' }, unsent: [] });
  });

  test('what follows from a change after that was sent is sent too', async () => {
    const sent = serverOf(saved(5), saved(6));
    const { rename, state, store } = open();
    rename('A');
    await pass(500);
    store.dispatch(amended(change(state().document as CollectionDocument, setQueries('media'))));
    expect((await readOutbox(OWN))?.unsent).toHaveLength(1);
    await pass(500);
    expect(namesIn(sent[1]?.patch ?? [])).toEqual(['media']);
    expect(state()).toMatchObject({ revision: 6, saving: { state: 'saved' }, unsent: [] });
  });

  test('while the server is away a change waits in the browser, says why, and is sent again unaltered', async () => {
    const sent = serverOf(away, away, saved(5), saved(6));
    const { rename, state } = open();
    rename('A');
    await pass(500);
    expect(state().saving).toMatchObject({ state: 'waiting' });
    expect((await readOutbox(OWN))?.underWay?.patch).toEqual(sent[0]?.patch);
    rename('B');
    await pass(10_000);
    expect(new Set(sent.slice(0, 3).map(({ changeId }) => changeId)).size).toBe(1);
    expect(sent[2]?.patch).toEqual(sent[0]?.patch);
    expect(namesIn(sent[3]?.patch ?? [])).toEqual(['B']);
    expect(sent[3]?.changeId).not.toBe(sent[0]?.changeId);
    expect(state()).toMatchObject({ revision: 6, saving: { state: 'saved' } });
    expect(await readOutbox(OWN)).toBeUndefined();
  });

  test('what the server refuses is said, and undoing it mends it', async () => {
    const sent = serverOf(problem(422, 'A name is too long.'), saved(5));
    const { rename, state, store } = open();
    rename('A');
    await pass(500);
    expect(state().saving).toEqual({ state: 'refused', why: 'A name is too long.' });
    store.dispatch(undo());
    await pass(500);
    expect(namesIn(sent[1]?.patch ?? [])).toEqual(['A', 'Beds']);
    expect(state().saving.state).toBe('saved');
  });

  test('what somebody else changed meanwhile is joined with our own', async () => {
    const theirs = { ...stats([[1, 1]]), language: 'de' };
    const stored = { id: 'c', name: 'Beds', revision: 7, updatedAt: '', document: theirs };
    const sent = serverOf(problem(412, 'Changed elsewhere.'), () => Response.json(stored), saved(8));
    const { rename, state } = open();
    rename('A');
    await pass(500);
    expect(sent.map(({ method }) => method)).toEqual(['PATCH', 'GET', 'PATCH']);
    expect(sent[2]).toMatchObject({ basedOn: '"7"' });
    expect(state().document).toMatchObject({ name: 'A', language: 'de' });
    expect(state()).toMatchObject({ revision: 8, saving: { state: 'saved' } });
  });

  test('what can’t be read just now while joining is tried again until it can', async () => {
    const theirs = { ...stats([[1, 1]]), language: 'de' };
    const stored = { id: 'c', name: 'Beds', revision: 7, updatedAt: '', document: theirs };
    const sent = serverOf(
      problem(412, 'Changed elsewhere.'),
      problem(503, 'No connection to the database.'),
      problem(412, 'Changed elsewhere.'),
      () => Response.json(stored),
      saved(8),
    );
    const { rename, state } = open();
    rename('A');
    await pass(10_000);
    expect(sent.map(({ method }) => method)).toEqual(['PATCH', 'GET', 'PATCH', 'GET', 'PATCH']);
    expect(state().document).toMatchObject({ name: 'A', language: 'de' });
    expect(state()).toMatchObject({ revision: 8, saving: { state: 'saved' } });
  });

  test('a tile that was deleted elsewhere and changed here is asked about; what is not chosen is set aside', async () => {
    const theirs = { ...stats([]), order: [], tiles: {} };
    const stored = { id: 'c', name: 'Beds', revision: 7, updatedAt: '', document: theirs };
    const sent = serverOf(problem(412, 'Changed elsewhere.'), () => Response.json(stored), saved(8));
    const { store, state } = open();
    store.dispatch(
      run('Figure', (draft) => {
        setPart(['t1'], 'figure', { words: '12' })(draft);
      }),
    );
    await pass(500);
    expect(state().saving).toEqual({ state: 'asked' });
    expect(state().question?.meetings.map(({ path }) => path)).toEqual(['/tiles/t1']);
    expect(state().document?.tiles.t1).toMatchObject({ parts: [{ words: '12' }, {}] });
    // A reload finds what was changed here, based on what it was.
    expect(await readOutbox(OWN)).toMatchObject({ revision: 4, underWay: null });
    await store.dispatch(decide({ '/tiles/t1': 'theirs' }));
    expect(state().document?.order).toEqual([]);
    expect(state()).toMatchObject({ revision: 7, question: null, saving: { state: 'saved' } });
    expect(sent).toHaveLength(2);
    const [aside] = await listAside('c');
    expect(aside?.document.tiles.t1).toMatchObject({ parts: [{ words: '12' }, {}] });
    store.dispatch(undo());
    expect(state().document?.order).toEqual([]);
  });

  test('steps from before a change of others are undone without undoing theirs', async () => {
    const before = stats([[1, 1]]);
    const theirs = { ...before, language: 'de' };
    const stored = { id: 'c', name: 'Beds', revision: 7, updatedAt: '', document: theirs };
    serverOf(
      saved(5),
      problem(412, 'Changed elsewhere.'),
      () => Response.json({ ...stored, document: { ...theirs, name: 'A' } }),
      saved(8),
    );
    const { rename, state, store } = open();
    rename('A');
    await pass(500);
    rename('B');
    await pass(500);
    expect(state().document).toMatchObject({ name: 'B', language: 'de' });
    store.dispatch(undo());
    expect(state().document).toMatchObject({ name: 'A', language: 'de' });
    store.dispatch(undo());
    expect(state().document).toMatchObject({ name: 'Beds', language: 'de' });
    store.dispatch(redo());
    store.dispatch(redo());
    expect(state().document).toMatchObject({ name: 'B', language: 'de' });
    await pass(500);
  });

  test('a collection that was deleted elsewhere stays here until somebody decides', async () => {
    serverOf(problem(404, 'There is no collection.'));
    const { rename, state } = open();
    rename('A');
    await pass(500);
    expect(state()).toMatchObject({ saving: { state: 'deleted' }, document: { name: 'A' } });
    expect(await readOutbox(OWN)).toBeDefined();
  });
});
