import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useAppStore } from '../../editor/hooks';
import { TopBar } from '../../editor/frame/TopBar';
import { UploadTray } from '../../editor/pictures/UploadTray';
import { Belt } from '../../editor/belt/Belt';
import { CommandDialogs, fetchCommandDialogs } from '../../editor/commands/CommandDialogs';
import { askedOf, packing } from '../../editor/packing/packing';
import { PackedFigure } from '../../editor/fit/PackedFigure';
import { WidthRuler } from '../../editor/ruler/WidthRuler';
import { fetchPanels } from '../../editor/settings/panels';
import { LazySettings } from '../../editor/settings/LazySettings';
import { Stage } from '../../editor/stage/Stage';
import { useKeys } from '../../editor/commands/useKeys';

export function ComposeScreen() {
  const { id = '' } = useParams();
  useKeys();
  const store = useAppStore();
  useEffect(() => {
    // What is asked of the worker later is measured while there is time.
    const timer = window.setTimeout(() => {
      void packing().prepare(askedOf(store.getState()));
      fetchPanels();
      fetchCommandDialogs();
    }, 600);
    return () => window.clearTimeout(timer);
  }, [store, id]);
  return (
    <div className="grid h-full grid-cols-[292px_1fr] grid-rows-[46px_84px_minmax(0,1fr)_98px]">
      <div className="col-span-2">
        <TopBar id={id}>
          <PackedFigure />
        </TopBar>
      </div>
      <WidthRuler />
      <LazySettings />
      <Stage />
      <Belt />
      <CommandDialogs />
      <UploadTray />
    </div>
  );
}
