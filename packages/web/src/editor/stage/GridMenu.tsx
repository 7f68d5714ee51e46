import { areaAt, removeArea, type Pin } from '@noria/core';
import { Plus, Trash } from 'lucide-react';
import type { MenuEntry } from '../../ui/PointMenu';
import { CommandMenu } from '../commands/CommandMenu';
import { GRID_MENU } from '../commands/menus';
import { useAppDispatch, useAppSelector } from '../hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';

export interface GridMenuProps {
  /** Where it opens, px of the screen. */
  readonly at: { readonly x: number; readonly y: number };
  /** The cell that it was asked for; null in gaps and padding. */
  readonly cell: Pin | null;
  /** Whether no tile lies there. */
  readonly isFree: boolean;
  readonly onAddHere: (cell: Pin) => void;
  readonly onClose: () => void;
}

/** What can be done with the grid where no tile was pressed: with the cell, its area, and the tracks. */
export function GridMenu({ at, cell, isFree, onAddHere, onClose }: GridMenuProps) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const area = cell && areaAt(arrangement, cell);
  const first: MenuEntry[] = [];
  if (cell && isFree)
    first.push({ id: 'add-here', words: 'Add a tile here…', icon: Plus, run: () => onAddHere(cell) });
  if (area !== null)
    first.push({
      id: 'remove-area',
      words: `Remove the area “${area}”`,
      icon: Trash,
      run: () => dispatch(runHere('Remove area', removeArea(area, index, setFor))),
    });
  return <CommandMenu name="Grid" at={at} of={GRID_MENU} first={first} onClose={onClose} />;
}
