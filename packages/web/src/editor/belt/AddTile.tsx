import { DropdownMenu } from 'radix-ui';
import { useRef } from 'react';
import type { TileStart } from '@noria/core';
import { useAppDispatch } from '../hooks';
import { Button } from '../../ui/Button';
import { TAKEN_TYPES } from '../pictures/upload';
import { orderChosen } from '../pictures/uploadsSlice';
import { shown, tilesSelected } from '../editorSlice';
import { addNewTile } from '../actions/tiles';
import { addPictures } from '../actions/pictures';

const STARTS: readonly { readonly what: TileStart; readonly label: string; readonly is: string }[] = [
  { what: 'text', label: 'Text', is: 'heading and words' },
  { what: 'picture', label: 'Picture', is: 'crops to fill' },
  { what: 'stat', label: 'Stat', is: 'big figure and label' },
  { what: 'quote', label: 'Quote', is: 'words and who said them' },
  { what: 'icons', label: 'Marks', is: 'a row of icons or logos' },
  { what: 'action', label: 'Action', is: 'leads somewhere' },
  { what: 'film', label: 'Film', is: 'plays in its tile' },
  { what: 'group', label: 'Group', is: 'tiles in a grid of their own' },
];

/** What a tile can begin as, in a menu. */
export function StartItems({ onChoose }: { onChoose: (what: TileStart) => void }) {
  return STARTS.map(({ what, label, is }) => (
    <DropdownMenu.Item
      key={what}
      className="flex h-7 items-center justify-between gap-4 rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
      onSelect={() => onChoose(what)}
    >
      <span className="font-semibold">{label}</span>
      <span className="text-sm text-faint">{is}</span>
    </DropdownMenu.Item>
  ));
}

/** Adds a tile after the selected one, or at the end. */
export function AddTile({ label }: { label: string }) {
  const dispatch = useAppDispatch();
  const files = useRef<HTMLInputElement>(null);
  return (
    <DropdownMenu.Root>
      <input
        ref={files}
        type="file"
        hidden
        multiple
        data-testid="picture-files"
        accept={`${TAKEN_TYPES},video/mp4,video/webm`}
        onChange={(event) => {
          void dispatch(addPictures([...(event.target.files ?? [])]));
          event.target.value = '';
        }}
      />
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
          <StartItems onChoose={(what) => dispatch(addNewTile(what))} />
          <DropdownMenu.Separator className="my-1 h-px bg-hair" />
          <DropdownMenu.Item
            className="flex h-7 items-center justify-between gap-4 rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
            onSelect={() => {
              dispatch(orderChosen('picked'));
              files.current?.click();
            }}
          >
            <span className="font-semibold">Pictures…</span>
            <span className="text-sm text-faint">many at once, a ZIP, a film</span>
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className="flex h-7 items-center justify-between gap-4 rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
            onSelect={() => {
              dispatch(orderChosen('numbered'));
              files.current?.click();
            }}
          >
            <span className="font-semibold">Pictures by number…</span>
            <span className="text-sm text-faint">2 before 10</span>
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className="flex h-7 items-center justify-between gap-4 rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
            onSelect={() => {
              dispatch(tilesSelected([]));
              dispatch(shown('recipes'));
            }}
          >
            <span className="font-semibold">From a recipe…</span>
            <span className="text-sm text-faint">with a finished look</span>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
