import { COMMAND_WORDS } from '../commands/words';
import { nameIn, gapCommand, type ClosedGaps, type GapChange } from '@noria/core';
import { useEffect, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Section, Row } from '../../ui/Rows';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { shown, tilesSelected } from '../editorSlice';
import { runHere, tryHere } from '../here';
import { selectBand } from '../selectors';
import { selectSaved } from '../document/selectors';
import { engine } from '../engine/engine';
import { askedOf, trouble } from './packing';

/** What closing the gaps would change, tile by tile; tried on the stage until it is taken or left. */
export function GapsPanel() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const saved = useAppSelector((state) => state.document.document);
  const { index, arrangement } = useAppSelector(selectBand);
  const [distance, setDistance] = useState(6);
  const [mostSpans, setMostSpans] = useState(3);
  const [answer, setAnswer] = useState<ClosedGaps | null>(null);

  useEffect(() => {
    const cancel = new AbortController();
    const state = store.getState();
    engine('work')
      .ask('closeGaps', selectSaved(state), [askedOf(state), distance, mostSpans], cancel.signal)
      .then((closed) => {
        if (cancel.signal.aborted) return;
        setAnswer(closed);
        dispatch(tryHere(closed.changes.length > 0 ? gapCommand(closed.changes, index) : null));
        dispatch(announce(sentence(closed)));
      })
      .catch((error: unknown) => !cancel.signal.aborted && dispatch(warn(trouble(error))));
    return () => {
      cancel.abort();
      dispatch(tryHere(null));
    };
  }, [dispatch, store, saved, index, arrangement.columns.length, distance, mostSpans]);

  // It can be pressed once there is an answer, and then Enter takes it.
  const takeIt = useRef<HTMLButtonElement>(null);
  useEffect(() => takeIt.current?.focus(), [answer]);

  const leave = () => dispatch(shown(null));
  const take = () => {
    if (!answer) return;
    dispatch(runHere(COMMAND_WORDS.closeGaps, gapCommand(answer.changes, index)));
    leave();
  };
  return (
    <aside
      aria-label="Close the gaps"
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-[15px] overflow-y-auto border-r border-hair bg-panel px-4 pt-3.5 pb-4 [scrollbar-width:thin]"
      onKeyDown={(event) => event.key === 'Escape' && leave()}
    >
      <h2 className="font-title text-lg font-[650]">Close the gaps</h2>
      <p role="status" className={answer?.outcome === 'best' ? 'text-amiss' : 'text-soft'}>
        {answer ? sentence(answer) : 'Calculating…'}
      </p>
      {answer && answer.changes.length > 0 && (
        <ul aria-label="What would change" className="grid">
          {answer.changes.map((change, k) => (
            <Change key={k} change={change} onPoint={(id) => dispatch(tilesSelected([id]))} />
          ))}
        </ul>
      )}
      <div className="flex gap-1.5">
        <Button ref={takeIt} look="solid" disabled={!answer || answer.changes.length === 0} onClick={take}>
          Apply
        </Button>
        <Button onClick={leave}>Cancel</Button>
      </div>
      <Section title="What may change">
        <Row label="Furthest move" help="How many places a tile may move in reading order">
          <NumberField value={distance} least={0} most={24} unit="places" onSet={setDistance} />
        </Row>
        <Row label="Span changes" help="How many tiles may change their span">
          <NumberField value={mostSpans} least={0} most={6} unit="tiles" onSet={setMostSpans} />
        </Row>
        <p className="text-[11.5px] text-soft">
          No tile becomes narrower than its words need, no picture loses more than half. Pinned tiles stay.
        </p>
      </Section>
    </aside>
  );
}

function sentence({ outcome, changes, before, after }: ClosedGaps): string {
  if (outcome === 'none') return 'There is no gap in this band.';
  const tiles = new Set(changes.flatMap((change) => (change.what === 'flow' ? [] : change.tile))).size;
  const by = [
    changes.some(({ what }) => what === 'flow') && 'dense flow',
    tiles > 0 && `${tiles} ${tiles === 1 ? 'tile' : 'tiles'} changed`,
  ]
    .filter(Boolean)
    .join(' and ');
  if (outcome === 'whole') return `No gap is left: ${by}.`;
  const left = after.cells - after.covered;
  const were = before.cells - before.covered;
  return changes.length === 0
    ? `Nothing within these bounds closes the gaps; ${left} cells stay empty.`
    : `Not all gaps can be closed within these bounds. The best leaves ${left} of ${were} empty cells: ${by}.`;
}

function Change({ change, onPoint }: { change: GapChange; onPoint: (id: string) => void }) {
  const name = useAppSelector(({ document: { document } }) =>
    document && change.what !== 'flow' ? nameIn(document, change.tile) : '',
  );
  if (change.what === 'flow') return <li className="flex h-7 items-center">Flow becomes dense</li>;
  const what =
    change.what === 'order'
      ? `${change.from + 1} → ${change.to + 1} in order`
      : `${change.from.columns} × ${change.from.rows} → ${change.to.columns} × ${change.to.rows}`;
  return (
    <li>
      <button
        type="button"
        className="flex h-7 w-full items-center gap-2 rounded-s text-left hover:bg-field"
        onClick={() => onPoint(change.tile)}
      >
        <span className="truncate">{name}</span>
        <span className="figures ml-auto shrink-0 text-copper-ink">{what}</span>
      </button>
    </li>
  );
}
