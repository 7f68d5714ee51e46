import { removeBreakpoint } from '@noria/core';
import { PointMenu, type MenuEntry } from '../../ui/PointMenu';
import { run } from '../document/run';
import { needleMoved, shown } from '../editorSlice';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectBands } from '../selectors';
import { toAxis } from './axis';

/** So near to a breakpoint it is meant, px of the screen. */
const NEAR = 14;

interface WidthMenuProps {
  /** Where it opens, px of the screen. */
  readonly at: { readonly x: number; readonly y: number };
  /** The width that was pressed. */
  readonly width: number;
  /** How long the axis is, px of the screen. */
  readonly length: number;
  readonly onAdd: (below: number) => void;
  readonly onClose: () => void;
}

/** What can be done with a width on the ruler, its band, and a breakpoint beside it. */
export function WidthMenu({ at, width, length, onAdd, onClose }: WidthMenuProps) {
  const dispatch = useAppDispatch();
  const bands = useAppSelector(selectBands);
  const near = bands
    .slice(1)
    .find(({ below }) => Math.abs(toAxis(below, length) - toAxis(width, length)) < NEAR);
  const here: MenuEntry[] = [
    { id: 'show', words: `Show ${width} px`, run: () => dispatch(needleMoved(width)) },
    { id: 'add', words: `Add a breakpoint at ${width} px`, run: () => onAdd(width) },
  ];
  if (near)
    here.push({
      id: 'remove',
      words: `Remove the breakpoint at ${near.below} px`,
      run: () => void dispatch(run('Remove breakpoint', removeBreakpoint(near.index))),
    });
  const band: MenuEntry = {
    id: 'band',
    words: 'Show what this band sets',
    run: () => {
      dispatch(needleMoved(width));
      dispatch(shown('band'));
    },
  };
  return <PointMenu name="Widths" at={at} groups={[here, [band]]} onClose={onClose} />;
}
