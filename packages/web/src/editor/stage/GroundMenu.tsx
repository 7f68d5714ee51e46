import { DropdownMenu } from 'radix-ui';
import type { TileStart } from '@noria/core';
import type { CSSProperties } from 'react';
import { MENU } from '../../ui/menu';
import { giveFocusBack } from '../../ui/typing';
import { StartItems } from '../belt/AddTile';

interface GroundMenuProps {
  /** The cell that it is asked for. */
  readonly style: CSSProperties;
  readonly onChoose: (what: TileStart) => void;
  readonly onClose: () => void;
}

/** Asks what comes into a free cell. */
export const GroundMenu = ({ style, onChoose, onClose }: GroundMenuProps) => (
  <DropdownMenu.Root open onOpenChange={(open) => !open && onClose()}>
    <DropdownMenu.Trigger asChild>
      <span aria-hidden className="pointer-events-none absolute" style={style} tabIndex={-1} />
    </DropdownMenu.Trigger>
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        align="start"
        sideOffset={6}
        collisionPadding={12}
        aria-label="Add a tile here"
        className={`z-[150] min-w-[220px] ${MENU}`}
        onCloseAutoFocus={(event) => {
          event.preventDefault();
          if (event.target instanceof HTMLElement) giveFocusBack(event.target);
        }}
      >
        <StartItems onChoose={onChoose} />
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
);
