import { DropdownMenu } from 'radix-ui';
import type { TileKind } from '@noria/core';
import { useAppDispatch } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { addNewTile } from '../actions';

const KINDS: readonly { readonly kind: TileKind; readonly label: string; readonly is: string }[] = [
  { kind: 'text', label: 'Text', is: 'heading and words' },
  { kind: 'picture', label: 'Picture', is: 'crops to fill' },
  { kind: 'stat', label: 'Stat', is: 'big figure and label' },
  { kind: 'quote', label: 'Quote', is: 'words and who said them' },
  { kind: 'action', label: 'Action', is: 'leads somewhere' },
];

/** Adds a tile after the one in hand, or at the end. */
export function AddTile({ label }: { label: string }) {
  const dispatch = useAppDispatch();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="copper" className="h-6! px-2!">
          {label}
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={6}
          align="start"
          className="z-40 min-w-[220px] rounded-m bg-raised p-1 shadow-float"
        >
          {KINDS.map(({ kind, label: name, is }) => (
            <DropdownMenu.Item
              key={kind}
              className="flex h-7 items-center justify-between gap-4 rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
              onSelect={() => dispatch(addNewTile(kind))}
            >
              <span className="font-semibold">{name}</span>
              <span className="text-sm text-faint">{is}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
