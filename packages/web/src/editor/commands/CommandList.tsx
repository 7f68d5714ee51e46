import { Command } from 'cmdk';
import { useAppDispatch, useAppSelector } from '../hooks';
import { commandListToggled } from '../editorSlice';
import { useCommands } from './commands';

/** Finds a command by its words. */
export function CommandList() {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector((state) => state.editor.commandList);
  const commands = useCommands();
  const close = () => dispatch(commandListToggled(false));
  return (
    <Command.Dialog
      open={isOpen}
      onOpenChange={(open) => dispatch(commandListToggled(open))}
      label="Find a command"
      overlayClassName="fixed inset-0 z-[160] bg-ink/25"
      contentClassName="fixed top-[14%] left-1/2 z-[170] w-[520px] -translate-x-1/2 overflow-hidden rounded-m bg-raised shadow-float"
    >
      <Command.Input
        placeholder="What do you want to do?"
        className="h-11 w-full border-b border-hair bg-transparent px-4 outline-none placeholder:text-faint"
      />
      <Command.List className="max-h-[380px] overflow-y-auto p-1.5 [scrollbar-width:thin]">
        <Command.Empty className="px-3 py-4 text-soft">No command has these words.</Command.Empty>
        {commands.map(({ does, keys, run }) => (
          <Command.Item
            key={does}
            value={does}
            className="flex h-8 items-center justify-between gap-4 rounded-s px-2.5 data-[selected=true]:bg-copper-wash data-[selected=true]:text-copper-ink"
            onSelect={() => {
              close();
              dispatch(run());
            }}
          >
            <span>{does}</span>
            {keys && <span className="figures text-faint">{keys}</span>}
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
