import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';
import { Button } from '../../ui/Button';
import { DropArea } from '../../ui/DropArea';
import type { PathedFile } from '../../editor/pictures/unpackArchive';
import { makeCollection } from './makeCollection';
import { OpenedPageView } from './OpenedPageView';
import { read } from './read';
import type { Opened, OpenedPage } from './readFiles';
import { takeHanded } from '../../editor/opening/handed';
import { keepForm } from '../../editor/opening/form';
import { useOpening } from '../../editor/opening/useOpening';
import { WhatToOpen } from './WhatToOpen';

type State =
  | { readonly step: 'empty'; readonly trouble: string | null }
  | { readonly step: 'busy'; readonly what: string; readonly share: number }
  | { readonly step: 'opened'; readonly page: OpenedPage; readonly trouble: string | null };

const WHOLE = /<(html|body)[\s>]/i;
const EMPTY: State = { step: 'empty', trouble: null };
const wordsOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Opens a page, or a collection from a file: what was found is shown before it is taken. */
export function OpenScreen() {
  const navigate = useNavigate();
  const [state, setState] = useState<State>(EMPTY);
  const stop = useRef<AbortController | null>(null);

  /** Does something that can be cancelled, and says what of it is done. */
  const work = async <T,>(
    what: string,
    before: State,
    act: (tell: (what: string, share: number) => void, signal: AbortSignal) => Promise<T>,
  ): Promise<T | null> => {
    stop.current?.abort();
    const own = (stop.current = new AbortController());
    setState({ step: 'busy', what, share: 0 });
    try {
      return await act((now, share) => {
        if (!own.signal.aborted) setState({ step: 'busy', what: now, share });
      }, own.signal);
    } catch (error) {
      if (stop.current === own)
        setState(own.signal.aborted ? before : ({ ...before, trouble: wordsOf(error) } as State));
      return null;
    }
  };

  const make = async (opened: Opened, which: number, before: State) => {
    const id = await work('Opening as a collection', before, (tell, signal) =>
      makeCollection(opened, which, tell, signal),
    );
    if (id === null) return;
    // What came as a part of a page goes back as one.
    if (opened.kind === 'page' && !WHOLE.test(opened.html)) keepForm(id, 'fragment');
    void navigate(`/collections/${id}/compose`);
  };

  const open = async (files: readonly PathedFile[]) => {
    const opened = await work('Reading', EMPTY, (tell, signal) => read(files, tell, signal));
    if (opened?.kind === 'collection') await make(opened, 0, EMPTY);
    else if (opened) setState({ step: 'opened', page: opened, trouble: null });
  };

  const begin = () => {
    const files = takeHanded();
    if (files) void open(files);
  };
  const area = useOpening(begin);
  useEffect(() => {
    document.title = 'Open a page – Noria';
    const soon = setTimeout(begin);
    return () => {
      clearTimeout(soon);
      stop.current?.abort();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the screen comes
  }, []);

  return (
    <DropArea {...area}>
      <WorkspaceBar />
      {state.step === 'empty' && <WhatToOpen trouble={state.trouble} onFiles={(files) => void open(files)} />}
      {state.step === 'busy' && (
        <main className="grid min-h-0 flex-1 place-content-center justify-items-center gap-3">
          <p role="status" className="text-soft">
            {state.what}…
          </p>
          <progress value={state.share} max={1} aria-label={state.what} className="w-[280px] accent-copper" />
          <Button onClick={() => stop.current?.abort()}>Cancel</Button>
        </main>
      )}
      {state.step === 'opened' && (
        <OpenedPageView
          page={state.page}
          trouble={state.trouble}
          onOpen={(which) => void make(state.page, which, state)}
          onCancel={() => setState(EMPTY)}
        />
      )}
    </DropArea>
  );
}
