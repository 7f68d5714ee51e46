import type { Dispatch } from '@reduxjs/toolkit';
import { isPassing, request, ServerProblem } from '../../../api/problem';
import { warn } from '../../../ui/notices/noticesSlice';
import { alone, goneOf, thisTab } from '../../../api/kept/tab';
import {
  drop,
  dropPlain,
  keep,
  keepPlain,
  keysFrom,
  plainKeys,
  read,
  readPlain,
} from '../../../api/kept/storage';
import { laterSlice } from './laterSlice';
import type { AppThunk } from '../../state';

/** What was typed about something that is no collection: it is sent until it arrives, as a save is. */
export interface LaterRequest {
  readonly method: string;
  readonly path: string;
  /** Fields that are set; fields that come later for the same path are set over them. */
  readonly body: Readonly<Record<string, unknown>>;
}

const { noted, settled } = laterSlice.actions;

const PREFIX = 'later:';
const JOURNAL = 'noria-later:';
const QUIET_MS = 500;
const key = (tab: string, path: string) => `${tab}:${path}`;

/** Sends a request once nothing more is typed for a moment; keeps it in this browser until it arrives. */
export const sendLater =
  (asked: LaterRequest): AppThunk =>
  (dispatch) => {
    const of = key(thisTab, asked.path);
    const before = readPlain(JOURNAL + of) as LaterRequest | null;
    const whole = { ...asked, body: { ...before?.body, ...asked.body } };
    if (!keepPlain(JOURNAL + of, whole)) void keep(PREFIX + of, whole);
    dispatch(noted(asked.path));
    window.clearTimeout(timers.get(of));
    timers.set(
      of,
      window.setTimeout(() => void send(of, dispatch), QUIET_MS),
    );
  };

const timers = new Map<string, number>();

async function send(of: string, dispatch: Dispatch): Promise<void> {
  timers.delete(of);
  await alone(`noria-later:${of}`, async () => {
    const asked = (readPlain(JOURNAL + of) as LaterRequest | null) ?? (await read<LaterRequest>(PREFIX + of));
    if (!asked) return;
    try {
      await request(asked.path, {
        method: asked.method,
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(asked.body),
      });
    } catch (error) {
      if (!(error instanceof ServerProblem) || isPassing(error)) return;
      dispatch(warn(error.message));
    }
    // What was typed while it was on its way goes next.
    if (timers.has(of)) return;
    dropPlain(JOURNAL + of);
    await drop(PREFIX + of);
    dispatch(settled(asked.path));
  });
}

/** Sends what waits: of this tab, and of tabs that are gone. */
export async function drainLater(dispatch: Dispatch): Promise<void> {
  const all = new Set([
    ...plainKeys(JOURNAL).map((each) => each.slice(JOURNAL.length)),
    ...(await keysFrom(PREFIX)).map((each) => each.slice(PREFIX.length)),
  ]);
  const tabOf = (of: string) => of.slice(0, of.indexOf(':'));
  const gone = await goneOf([...all].map(tabOf));
  for (const of of all) {
    const tab = tabOf(of);
    if (gone.has(tab) || (tab === thisTab && !timers.has(of))) await send(of, dispatch);
  }
}
