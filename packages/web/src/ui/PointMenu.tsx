import type { LucideIcon } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { MENU, MENU_ITEM } from './menu';
import { giveFocusBack } from './typing';

export interface MenuEntry {
  readonly id: string;
  readonly words: string;
  readonly icon?: LucideIcon | undefined;
  /** The keys that do the same, as they are written on screen. */
  readonly keys?: string | null;
  readonly run: () => void;
}

interface PointMenuProps {
  readonly name: string;
  /** Where it opens, px of the screen. */
  readonly at: { readonly x: number; readonly y: number };
  /** What can be chosen, with a line between the groups; empty groups are left out. */
  readonly groups: readonly (readonly MenuEntry[])[];
  readonly onClose: () => void;
}

/** What can be done with what lies at a point; the focus goes back to what is worked on. */
export function PointMenu({ name, at, groups, onClose }: PointMenuProps) {
  const shown = groups.filter((group) => group.length > 0);
  return (
    <DropdownMenu.Root open onOpenChange={(open) => !open && onClose()}>
      <DropdownMenu.Trigger asChild>
        <span
          aria-hidden
          tabIndex={-1}
          className="pointer-events-none fixed size-0"
          style={{ left: at.x, top: at.y }}
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={2}
          collisionPadding={12}
          aria-label={name}
          className={`z-[150] max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-[220px] overflow-y-auto ${MENU}`}
          onContextMenu={(event) => event.preventDefault()}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (event.target instanceof HTMLElement) giveFocusBack(event.target);
          }}
        >
          {shown.map((group, k) => (
            <DropdownMenu.Group key={group[0]?.id}>
              {k > 0 && <DropdownMenu.Separator className="my-1 h-px bg-hair" />}
              {group.map(({ id, words, icon: Icon, keys, run }) => (
                <DropdownMenu.Item key={id} className={`gap-2 ${MENU_ITEM}`} onSelect={run}>
                  {Icon ? <Icon size={14} strokeWidth={1.6} aria-hidden /> : <span className="w-3.5" />}
                  {words}
                  {keys && <span className="ml-auto pl-4 text-xs text-faint">{keys}</span>}
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Group>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
