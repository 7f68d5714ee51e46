import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useAppStore } from '../../editor/hooks';
import { TopBar } from '../../editor/frame/TopBar';
import { Uploads } from '../../editor/pictures/Uploads';
import { CommandDialogs } from '../../editor/commands/CommandDialogs';
import { selectSaved } from '../../editor/document/selectors';
import { engine } from '../../editor/engine/engine';
import { askedOf } from '../../editor/packing/packing';
import { PackedFigure } from '../../editor/fit/PackedFigure';
import { WidthRuler } from '../../editor/ruler/WidthRuler';
import { Belt, Settings } from '../../editor/lazyParts';
import { Stage } from '../../editor/stage/Stage';
import { useKeys } from '../../editor/commands/useKeys';

export function ComposeScreen() {
  const { id = '' } = useParams();
  useKeys();
  const store = useAppStore();
  useEffect(() => {
    // What is asked of the worker later is measured while there is time.
    const timer = window.setTimeout(() => {
      const state = store.getState();
      engine('work')
        .ask('prepare', selectSaved(state), [askedOf(state)])
        .catch(() => undefined);
    }, 600);
    return () => window.clearTimeout(timer);
  }, [store, id]);
  return (
    <div className="grid h-full grid-cols-[var(--side)_minmax(0,1fr)] grid-rows-[46px_84px_minmax(0,1fr)_98px]">
      <div className="col-span-2">
        <TopBar id={id}>
          <PackedFigure />
        </TopBar>
      </div>
      <WidthRuler />
      <Settings />
      <Stage />
      <Belt />
      <CommandDialogs />
      <Uploads />
    </div>
  );
}
