import { nameIn, tileName, kindTitle } from '@noria/core';
import { Suspense, useDeferredValue, useState, type FocusEvent } from 'react';
import { flushSync } from 'react-dom';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { Button } from '../../ui/Button';
import { Panel } from '../../ui/Panel';
import { Column, Columns } from '../../ui/Rows';
import { nth } from '../../ui/words';
import { shown } from '../editorSlice';
import { interfaceOf } from '../kinds';
import { nameOf } from '../kinds/words';
import { PANELS } from './panels';
import { selectBand, selectLevel, selectView } from '../selectors';
import { ArrangementSettings } from './ArrangementSettings';
import { TileFit } from './TileFit';
import { TileContent } from './TileContent';
import { TileLook } from './TileLook';
import { TileMotion } from './TileMotion';
import { TilePlace } from './TilePlace';
import { TileSize } from './TileSize';

/** Answers questions about what is selected; with nothing selected, about the arrangement. */
export function Settings() {
  const document = useAppSelector(selectView);
  const { ids, hands } = useSelectedIds();
  const selected = ids.flatMap((id) => (document.order.includes(id) ? (document.tiles[id] ?? []) : []));
  const level = useAppSelector(selectLevel);
  const showing = useAppSelector((state) => state.editor.showing);
  const { arrangement } = useAppSelector(selectBand);
  const { noGaps } = interfaceOf(arrangement);
  const [tile] = selected;
  const heading =
    selected.length > 1
      ? { title: `${selected.length} tiles`, what: 'settings apply to all' }
      : tile
        ? {
            title: tileName(tile, document),
            what: `${kindTitle(tile).toLowerCase()}, ${nth(document.order.indexOf(tile.id) + 1, document.order.length)}`,
          }
        : {
            title: level === null ? 'Collection' : nameIn(document, level),
            what: `${nameOf(arrangement.kind)}, ${document.order.length} ${document.order.length === 1 ? 'tile' : 'tiles'}`,
          };
  if ((showing === 'gaps' || showing === 'proposals') && noGaps) return <NoSpans {...noGaps} />;
  if (showing !== null) {
    const Shown = PANELS[showing];
    return (
      <Suspense fallback={<aside className="border-r border-hair bg-panel" />}>
        <Shown />
      </Suspense>
    );
  }
  return (
    <aside
      {...hands}
      aria-label="Settings"
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-[15px] overflow-y-auto border-r border-hair bg-panel px-4 pt-3.5 pb-4 [scrollbar-width:thin]"
    >
      <header className="flex items-baseline gap-2">
        <h2 className="truncate font-title text-lg font-[650]">{heading.title}</h2>
        <span className="text-[11.5px] whitespace-nowrap text-faint">{heading.what}</span>
      </header>
      {tile ? (
        <>
          <TileSize tiles={selected} />
          <Columns>
            <Column>
              <TileContent tiles={[tile, ...selected.slice(1)]} />
              <TileLook tiles={[tile, ...selected.slice(1)]} />
            </Column>
            <Column>
              <TilePlace tiles={selected} />
              <TileFit tiles={selected.map(({ id }) => id).join(' ')} />
              <TileMotion tiles={[tile, ...selected.slice(1)]} />
            </Column>
          </Columns>
        </>
      ) : (
        <ArrangementSettings key={level} />
      )}
    </aside>
  );
}

/**
 * The stage comes first: which tiles these are follows when there is time. It is made up for as soon as
 * a hand comes to the settings, or it would set at the tiles before what is meant for these.
 */
function useSelectedIds() {
  const now = useAppSelector((state) => state.editor.selected);
  const later = useDeferredValue(now);
  const [touched, setTouched] = useState(false);
  const store = useAppStore();
  return {
    ids: touched ? now : later,
    hands: {
      onPointerDownCapture: () => setTouched(true),
      // At once, and not after the hand: what it selects in the field would be selected no more.
      onFocusCapture: ({ target }: FocusEvent) => {
        const { selected } = store.getState().editor;
        if (selected === (touched ? now : later)) setTouched(true);
        else keepingSelected(target, () => flushSync(() => setTouched(true)));
      },
      onBlurCapture: ({ currentTarget, relatedTarget }: FocusEvent) =>
        setTouched(currentTarget.contains(relatedTarget)),
    },
  };
}

/**
 * Other words in a field take its selection away. A field that is come to by a key or by a script has all of
 * its words selected; Chromium tells so only after the focus event.
 */
function keepingSelected(field: Element, change: () => void) {
  const isText = field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement;
  const before = isText && field.value;
  change();
  if (isText && field.value !== before) field.select();
}

/** Gaps are closed by spans, which only a bento has of its own. */
function NoSpans({ title, says }: { readonly title: string; readonly says: string }) {
  const dispatch = useAppDispatch();
  return (
    <Panel name="Gaps" title={title} onClose={() => dispatch(shown(null))}>
      <p className="text-soft">{says}</p>
      <Button look="copper" className="justify-self-start" onClick={() => dispatch(shown('findings'))}>
        Show findings
      </Button>
    </Panel>
  );
}
