import { configureStore } from '@reduxjs/toolkit';
import {
  addTile,
  change,
  emptyDocument,
  setArrangement,
  setPart,
  setSpan,
  setTile,
  type Arrangement,
  type CollectionDocument,
  type Command,
  type TileId,
} from '@noria/core';
import './letterCanvas';
import { needleMoved, tilesSelected } from '../editor/editorSlice';
import { opened } from '../editor/document/documentSlice';
import { lateMiddleware, reducer, type AppThunk } from '../editor/state';

/** A collection of stats, one for each pair of spans, named t1, t2, … in four even columns and one band, others by hand. */
export function stats(
  spans: readonly (readonly [columns: number, rows: number])[],
  arrangement: Partial<Arrangement> = {},
): CollectionDocument {
  const commands: Command[] = spans.flatMap(([columnSpan, rowSpan], k) => [
    addTile('stat', `t${k + 1}`),
    setTile([`t${k + 1}`], { name: `Stat ${k + 1}` }),
    setPart([`t${k + 1}`], 'figure', { words: String(k + 1) }),
    setPart([`t${k + 1}`], 'label', { words: 'beds' }),
    setSpan({ tiles: [`t${k + 1}`], band: 0, setFor: 'all', columnSpan, rowSpan }),
  ]);
  const columns = ['1fr', '1fr', '1fr', '1fr'];
  const { narrowerBands: _, ...byHand } = emptyDocument('Beds');
  return [...commands, setArrangement({ columns, ...arrangement }, 0, 'all')].reduce<CollectionDocument>(
    (document, command) => change(document, command).document,
    byHand,
  );
}

/** The store of the Compose screen, without what saves; with short ways to ask it. */
export function composeStore(document: CollectionDocument, width = 1280) {
  const store = configureStore({
    reducer,
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false }).concat(lateMiddleware.middleware),
  });
  store.dispatch(opened({ id: 'c', document, revision: 1, unsent: [] }));
  store.dispatch(needleMoved(width));
  return {
    store,
    /** Takes selected tiles. */
    take: (...ids: TileId[]) => void store.dispatch(tilesSelected(ids)),
    run: <Result>(thunk: AppThunk<Result>): Result => store.dispatch(thunk),
    document: (): CollectionDocument => {
      const { document: now } = store.getState().document;
      if (!now) throw new Error('No collection is open.');
      return now;
    },
    /** The names of the steps that can be undone. */
    steps: () => store.getState().document.past.map(({ name }) => name),
    said: () => store.getState().notices.announcement.words,
    warned: () => store.getState().notices.warning,
    selected: () => store.getState().editor.selected,
  };
}
