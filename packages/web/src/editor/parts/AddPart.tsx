import type { PartName, TileId } from '@noria/core';
import { DropdownMenu } from 'radix-ui';
import { Button } from '../../ui/Button';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { partAdded } from '../actions/parts';
import { useAppDispatch } from '../hooks';
import { PART_ABOUT, partName } from './partNames';

const KINDS = Object.keys(PART_ABOUT) as PartName[];

/** Where the focus goes when a part is gone. */
export const ADD_PART = 'add-part';

/** Adds a part to cards, at their end. */
export function AddPart({ ids }: { readonly ids: readonly TileId[] }) {
  const dispatch = useAppDispatch();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button id={ADD_PART} look="copper" className="h-[26px]! px-2!">
          Add part
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content sideOffset={6} align="end" className={`z-[150] min-w-[260px] ${MENU}`}>
          {KINDS.map((kind) => (
            <DropdownMenu.Item
              key={kind}
              className={`justify-between gap-4 ${MENU_ITEM}`}
              onSelect={() => dispatch(partAdded(ids, kind))}
            >
              <span className="font-semibold">{partName({ kind })}</span>
              <span className="text-sm text-faint">{PART_ABOUT[kind]}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
