import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useFocusBack } from '../../ui/useFocusBack';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { commandListToggled } from '../editorSlice';
import { keyWords } from './command';
import { allCommands } from './allCommands';
import { takeTypedAhead } from './typedAhead';

/** Finds a command by its words, among those that make sense now. */
export function CommandList() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const isOpen = useAppSelector((state) => state.editor.commandList);
  const [sought, setSought] = useState(takeTypedAhead);
  const focusBack = useFocusBack();
  const close = () => dispatch(commandListToggled(false));
  const commands = allCommands().filter(
    ({ isListed, applies }) => isListed !== false && (applies?.(store.getState()) ?? true),
  );
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => dispatch(commandListToggled(open))}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-[160] bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          {...focusBack}
          className="fixed top-[14%] left-1/2 z-[170] w-[520px] -translate-x-1/2 overflow-hidden rounded-m bg-raised shadow-float"
        >
          <Dialog.Title className="sr-only">Find a command</Dialog.Title>
          <Command label="Find a command">
            <Command.Input
              value={sought}
              onValueChange={setSought}
              placeholder="Search commands"
              className="h-11 w-full border-b border-hair bg-transparent px-4 outline-none placeholder:text-faint"
            />
            <Command.List className="max-h-[380px] overflow-y-auto p-1.5 [scrollbar-width:thin]">
              <Command.Empty className="px-3 py-4 text-soft">No command matches.</Command.Empty>
              {commands.map((command) => {
                const keys = keyWords(command);
                return (
                  <Command.Item
                    key={command.id}
                    value={command.words}
                    className="flex h-8 items-center gap-2.5 rounded-s px-2.5 data-[selected=true]:bg-copper-wash data-[selected=true]:text-copper-ink"
                    onSelect={() => {
                      close();
                      dispatch(command.run());
                    }}
                  >
                    {command.icon ? (
                      <command.icon size={15} strokeWidth={1.6} aria-hidden className="shrink-0 text-soft" />
                    ) : (
                      <span className="w-[15px]" />
                    )}
                    <span className="flex-1">{command.words}</span>
                    {keys && <span className="figures text-faint">{keys}</span>}
                  </Command.Item>
                );
              })}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
