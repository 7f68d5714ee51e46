import { useEffect } from 'react';
import { useAppStore } from '../../store/hooks';
import { TopBar } from '../frame';
import { UploadTray } from '../pictures';
import { Belt } from './belt/Belt';
import { CommandList } from './CommandList';
import { KeySheet } from './KeySheet';
import { askedOf, packing } from './packing/packing';
import { PackedFigure } from './PackedFigure';
import { WidthRuler } from './ruler/WidthRuler';
import { Settings } from './settings/Settings';
import { Stage } from './stage/Stage';
import { useKeys } from './useKeys';

export function ComposeScreen({ id }: { id: string }) {
  useKeys();
  const store = useAppStore();
  useEffect(() => {
    // What is asked of the worker later is measured while there is time.
    const timer = window.setTimeout(() => void packing().prepare(askedOf(store.getState())), 600);
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
      <Settings />
      <Stage />
      <Belt />
      <KeySheet />
      <CommandList />
      <UploadTray />
    </div>
  );
}
