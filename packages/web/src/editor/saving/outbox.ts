import { FORMAT_VERSION, type CollectionDocument, type JsonPatch } from '@noria/core';
import {
  drop,
  dropPlain,
  keep,
  keepPlain,
  keysFrom,
  plainKeys,
  read,
  readPlain,
} from '../../api/kept/storage';
import { goneOf, thisTab } from '../../api/kept/tab';
import { workspace } from '../../api/workspace';
import type { Unsent } from '../document/documentSlice';

/** What the server has not acknowledged of one tab's changes of one collection, kept until it has. */
export interface Outbox {
  /** The revision that the first change is based on. */
  readonly revision: number;
  readonly underWay: Unsent | null;
  readonly unsent: JsonPatch;
  /** The format version that its changes were made in; left out: the first, which did not say so. */
  readonly format?: number;
  /** The workspace of the collection; left out: there was only one. */
  readonly workspace?: string;
}

interface Kept extends Outbox {
  /** Counts up with every write, so that the later of two copies is known. */
  readonly write: number;
}

/** Whose outbox it is. */
export interface OutboxKey {
  readonly collection: string;
  readonly tab: string;
}

const PREFIX = 'unsent:';
const JOURNAL = 'noria-unsent:';
/** Earlier versions had one outbox for all tabs; its tab is empty. */
const suffix = ({ collection, tab }: OutboxKey) => (tab === '' ? collection : `${collection}:${tab}`);
const key = (of: OutboxKey) => PREFIX + suffix(of);
const journalKey = (of: OutboxKey) => JOURNAL + suffix(of);
const baseKey = (of: OutboxKey) => `base:${suffix(of)}`;
const own = (collection: string): OutboxKey => ({ collection, tab: thisTab });
let writes = Date.now();

export const isEmpty = ({ underWay, unsent }: Outbox) => !underWay && unsent.length === 0;

/** The later of the two copies. */
export async function readOutbox(of: OutboxKey): Promise<Outbox | undefined> {
  const stored = await read<Kept>(key(of));
  const journal = readPlain(journalKey(of)) as Kept | null;
  const latest = journal && journal.write > (stored?.write ?? 0) ? journal : stored;
  return latest && !isEmpty(latest) ? latest : undefined;
}

/**
 * Keeps what is unsent. IndexedDB answers later, and a tab may be closed before that. So it is noted in
 * a synchronous journal first, until IndexedDB has it.
 */
export async function keepOutbox(collection: string, outbox: Outbox, tab = thisTab): Promise<void> {
  const of = { collection, tab };
  const kept: Kept = {
    ...outbox,
    format: outbox.format ?? FORMAT_VERSION,
    workspace: workspace(),
    write: ++writes,
  };
  if (isEmpty(outbox) && tab === thisTab) {
    // What was written before must not come back from either store.
    keepPlain(journalKey(of), kept);
    await drop(key(of));
  } else {
    keepPlain(journalKey(of), kept);
    await keep(key(of), kept);
  }
  if ((readPlain(journalKey(of)) as Kept | null)?.write === kept.write) dropPlain(journalKey(of));
}

async function belongsHere(of: OutboxKey): Promise<boolean> {
  const { workspace: its = workspace() } = (await readOutbox(of)) ?? {};
  return its === workspace();
}

export async function dropOutbox(of: OutboxKey): Promise<void> {
  dropPlain(journalKey(of));
  await drop(key(of));
  await drop(baseKey(of));
}

/** What an outbox is based on, as a whole: for when the server has it no more. */
export interface OutboxBase {
  readonly revision: number;
  readonly document: CollectionDocument;
}

export const keepBase = (collection: string, base: OutboxBase) => keep(baseKey(own(collection)), base);
export const readBase = (of: OutboxKey) => read<OutboxBase>(baseKey(of));

export const dropOwnOutbox = (collection: string) => dropOutbox(own(collection));

/** The outboxes of this workspace that nobody else will send: of tabs that are gone, and of this one. */
export async function leftOutboxes(collection?: string): Promise<OutboxKey[]> {
  const stored = (await keysFrom(PREFIX)).map((each) => each.slice(PREFIX.length));
  const journals = plainKeys(JOURNAL).map((each) => each.slice(JOURNAL.length));
  const all = [...new Set([...stored, ...journals])].map((each): OutboxKey => {
    const [of = '', tab = ''] = each.split(':');
    return { collection: of, tab };
  });
  const wanted = all.filter((each) => collection === undefined || each.collection === collection);
  const gone = await goneOf(wanted.map(({ tab }) => tab));
  const left = wanted
    .filter(({ tab }) => tab === thisTab || gone.has(tab))
    .sort((a, b) => (a.tab < b.tab ? -1 : 1));
  const belong = await Promise.all(left.map(belongsHere));
  return left.filter((_, k) => belong[k]);
}
