import { lazy, Suspense, useState, type ComponentType, type ReactNode } from 'react';

type Read<Props> = () => Promise<ComponentType<Props>>;

const AGAIN_MS = 1500;

/** What can’t be fetched now is asked for until it can: a part that is late must not take the view with it. */
async function persistently<Value>(read: () => Promise<Value>): Promise<Value> {
  for (;;) {
    try {
      return await read();
    } catch {
      await new Promise((resolve) => window.setTimeout(resolve, AGAIN_MS));
    }
  }
}

const isThere = (take: () => Promise<unknown>): Promise<boolean> =>
  take().then(
    () => true,
    () => false,
  );

/** What is read ahead: none of it fails, but says whether it is there. */
const ahead = new Set<() => Promise<boolean>>();
/** Whether there is time: what becomes known from then on is fetched at once. */
let isTime = false;

function readAhead(fetch: () => Promise<boolean>): void {
  ahead.add(fetch);
  if (isTime) void fetchAhead();
}

/**
 * A component that is shown at once where its script is there, and later where it is not. (React shows what
 * it waits for a third of a second at least, also for what is there already.)
 */
function whenThere<Props extends object>(
  read: Read<Props>,
  wait: typeof persistently = persistently,
): { readonly Part: ComponentType<Props>; readonly fetch: () => Promise<boolean> } {
  let there: ComponentType<Props> | null = null;
  const take = async () => (there = await read());
  const Later = lazy(async () => ({
    default: await wait(take),
  })) as unknown as ComponentType<Props>;
  return {
    Part: function WhenThere(props: Props) {
      // What was shown stays what it is.
      const [Shown] = useState(() => there ?? Later);
      return <Shown {...props} />;
    },
    fetch: () => isThere(take),
  };
}

/** A component whose script comes when it is first shown, or ahead of that while there is time. */
export function whenShown<Props extends object = object>(read: Read<Props>): ComponentType<Props> {
  const { Part, fetch } = whenThere(read);
  readAhead(fetch);
  return Part;
}

/**
 * What acts with a script that comes when it is first used, or ahead of that while there is time. Where the
 * script is there it acts at once: a moment later, what is selected may be another. Where it can’t be fetched it
 * acts when it can, so that nothing that was dropped is lost.
 */
export function whenUsed<Script>(
  read: () => Promise<Script>,
): <Answer>(act: (script: Script) => Answer) => Answer | Promise<Answer> {
  let there: Script | null = null;
  const take = async () => (there = await read());
  readAhead(() => isThere(take));
  return (act) => (there === null ? persistently(take).then(act) : act(there));
}

/** Fetches what may be shown later: it opens at once then, and without a server. */
export async function fetchAhead(): Promise<void> {
  isTime = true;
  await Promise.all(
    [...ahead].map(async (fetch) => {
      ahead.delete(fetch);
      if (!(await fetch())) ahead.add(fetch);
    }),
  );
}

/** A view, whose script comes when it is gone to or asked for by `fetch`; what can’t be fetched is thrown. */
export const view = (read: Read<object>) => whenThere(read, (take) => take());

/** A component whose script is asked for at once, and waited for where it is shown before. */
export function early<Props extends object = object>(read: Read<Props>): ComponentType<Props> {
  const { Part, fetch } = whenThere(read);
  void fetch();
  return Part;
}

/**
 * A part of a screen whose script is asked for at once, and comes beside what is painted first.
 * @param meanwhile holds its place
 */
export function beside<Props extends object = object>(
  read: Read<Props>,
  meanwhile: ReactNode = null,
): ComponentType<Props> {
  const Part = early(read);
  return function Beside(props: Props) {
    return (
      <Suspense fallback={meanwhile}>
        <Part {...props} />
      </Suspense>
    );
  };
}
