import { placeIn } from '@noria/core';
import { Copy, Ellipsis, LogIn, Pin, PinOff, Replace, Trash } from 'lucide-react';
import { Popover } from 'radix-ui';
import { Suspense, useState } from 'react';
import { Button } from '../../ui/Button';
import { Section } from '../../ui/Rows';
import { whenShown } from '../../ui/lazily';
import { CommandButton } from '../commands/CommandButton';
import { TILE_MENU } from '../commands/menus';
import { useAppSelector } from '../hooks';
import { interfaceOf } from '../kinds';
import { fillShown } from '../looks/fillShown';
import { selectBand, selectLayout, selectSelected, selectView } from '../selectors';
import { FillRows } from '../settings/look/FillRows';
import { useLook } from '../settings/look/useLook';
import { boxStyle, type StageSpace } from './space';
import type { Tile } from '@noria/core';

const CommandMenu = whenShown(() => import('../commands/CommandMenu').then((file) => file.CommandMenu));

/** About as wide as it comes, px: it stays inside the stage. */
const WIDTH = 520;

interface TileBarProps {
  readonly space: StageSpace;
  /** Where the page begins on the stage, px. */
  readonly left: number;
}

/** What one needs most for the selected tiles, above the stage and over none of them. */
export function TileBar({ space, left }: TileBarProps) {
  const selected = useAppSelector(selectSelected);
  const layout = useAppSelector(selectLayout);
  const [tile, ...others] = selected;
  const at = layout.tiles.find(({ id }) => id === tile?.id);
  if (!tile) return layout.tiles.length > 0 && <Hint />;
  const x = left + (at ? boxStyle(space, at).left : 0);
  return (
    <div
      role="toolbar"
      aria-label="Selected tiles"
      className="absolute top-[5px] flex gap-1"
      style={{ left: `clamp(8px, ${x}px, max(8px, calc(100% - ${WIDTH}px)))` }}
    >
      <CommandButton command="duplicate" className={BUTTON}>
        <Copy size={14} strokeWidth={1.6} aria-hidden />
        Duplicate
      </CommandButton>
      <CommandButton command="delete" className={BUTTON}>
        <Trash size={14} strokeWidth={1.6} aria-hidden />
        Delete
      </CommandButton>
      <FillButton tiles={[tile, ...others]} />
      <CommandButton command="recipes" className={BUTTON}>
        <Replace size={14} strokeWidth={1.6} aria-hidden />
        Recipe
      </CommandButton>
      <HoldButton tiles={selected} />
      {others.length === 0 && tile.kind === 'group' && (
        <CommandButton command="openGroup" className={BUTTON}>
          <LogIn size={14} strokeWidth={1.6} aria-hidden />
          Open
        </CommandButton>
      )}
      <More />
    </div>
  );
}

const BUTTON = 'bg-panel';

/** What to do while nothing is selected. */
const Hint = () => (
  <p className="truncate px-4 pt-2.5 text-sm text-soft">
    Press a tile to work on it, twice to write in its words; drag it to rearrange, with Shift to pin it, with
    Alt to lay it over others.
  </p>
);

/** Holds the tiles as their arrangement does, or lets them go. */
function HoldButton({ tiles }: { readonly tiles: readonly Tile[] }) {
  const view = useAppSelector(selectView);
  const { arrangement, index } = useAppSelector(selectBand);
  const { holding } = interfaceOf(arrangement);
  if (!holding) return null;
  const isHeld = tiles.every((tile) => Boolean(placeIn(view, tile, index)[holding.by]));
  const Sign = isHeld ? PinOff : Pin;
  return (
    <CommandButton command="pin" className={BUTTON}>
      <Sign size={14} strokeWidth={1.6} aria-hidden />
      {holding.step(!isHeld)}
    </CommandButton>
  );
}

function FillButton({ tiles }: { readonly tiles: readonly [Tile, ...Tile[]] }) {
  const view = useAppSelector(selectView);
  const look = useLook(tiles);
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className={BUTTON}>
          <span
            aria-hidden
            className="size-3.5 rounded-[3px] border border-faint"
            style={{ background: fillShown(view, look.look) }}
          />
          Fill
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label="Fill"
          className="z-[150] w-[292px] rounded-m bg-raised p-3 shadow-float"
        >
          <Section title={tiles.length > 1 ? `Fill of ${tiles.length} tiles` : 'Fill'}>
            <FillRows look={look} />
          </Section>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function More() {
  const [at, setAt] = useState<{ readonly x: number; readonly y: number } | null>(null);
  return (
    <>
      <Button
        className={BUTTON}
        aria-haspopup="menu"
        aria-expanded={at !== null}
        onClick={({ currentTarget }) => {
          const { left, bottom } = currentTarget.getBoundingClientRect();
          setAt({ x: left, y: bottom });
        }}
      >
        <Ellipsis size={14} strokeWidth={1.6} aria-hidden />
        More
      </Button>
      {at && (
        <Suspense>
          <CommandMenu name="Selected tiles" at={at} of={TILE_MENU} onClose={() => setAt(null)} />
        </Suspense>
      )}
    </>
  );
}
