import { titleOf, type TileStart } from '@noria/core';
import { DropdownMenu } from 'radix-ui';
import { Suspense, useRef, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { whenShown } from '../../ui/lazily';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { giveFocusBack } from '../../ui/typing';
import { addNewTile } from '../actions/tiles';
import { START_ABOUT, tileStarts } from '../commands/allCommands';
import { COMMANDS } from '../commands/registry';
import { useAppDispatch } from '../hooks';
import { StartPicture } from './StartPicture';

const AddRecipes = whenShown(() => import('../recipes/AddRecipes').then((file) => file.AddRecipes));

interface ItemProps {
  readonly picture?: ReactNode;
  readonly words: string;
  readonly about?: string | undefined;
  readonly onChoose: () => void;
}

const Item = ({ picture, words, about, onChoose }: ItemProps) => (
  <DropdownMenu.Item className={`gap-2.5 ${MENU_ITEM}`} onSelect={onChoose}>
    {picture}
    <span className="font-semibold">{words}</span>
    <span className="ml-auto pl-2 text-sm text-faint">{about}</span>
  </DropdownMenu.Item>
);

/** What a tile can begin as, in a menu. */
export const StartItems = ({ onChoose }: { onChoose: (what: TileStart) => void }) =>
  tileStarts().map((what) => (
    <Item
      key={what}
      picture={<StartPicture what={what} />}
      words={titleOf(what)}
      about={START_ABOUT[what]}
      onChoose={() => onChoose(what)}
    />
  ));

/** What adds tiles that have something in them already. */
const FILLED = [COMMANDS.addPictures, COMMANDS.addNumbered, COMMANDS.addFromRecipe, COMMANDS.addTable];

/** Adds a tile after the selected one, or at the end. */
export function AddTile({ label }: { label: string }) {
  const dispatch = useAppDispatch();
  const isAdded = useRef(false);
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
          collisionPadding={8}
          className={`z-40 grid grid-cols-[300px_264px] gap-2 ${MENU}`}
          onCloseAutoFocus={(event) => {
            // The focus is where the new tile is.
            if (isAdded.current && event.target instanceof HTMLElement) {
              event.preventDefault();
              giveFocusBack(event.target);
            }
            isAdded.current = false;
          }}
        >
          <div>
            <StartItems
              onChoose={(what) => {
                isAdded.current = true;
                dispatch(addNewTile(what));
              }}
            />
            <DropdownMenu.Separator className="my-1 h-px bg-hair" />
            {FILLED.map(({ id, words, about, run }) => (
              <Item key={id} words={words} about={about} onChoose={() => dispatch(run())} />
            ))}
          </div>
          <div className="border-l border-hair pl-2">
            <Suspense>
              <AddRecipes onAdd={() => (isAdded.current = true)} />
            </Suspense>
          </div>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
