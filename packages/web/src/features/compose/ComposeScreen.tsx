import { TopBar } from '../frame';
import { Belt } from './belt/Belt';
import { CommandList } from './CommandList';
import { KeySheet } from './KeySheet';
import { PackedFigure } from './PackedFigure';
import { WidthRuler } from './ruler/WidthRuler';
import { Settings } from './settings/Settings';
import { Stage } from './stage/Stage';
import { useKeys } from './useKeys';

export function ComposeScreen({ id }: { id: string }) {
  useKeys();
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
    </div>
  );
}
