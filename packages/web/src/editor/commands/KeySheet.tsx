import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useAppDispatch, useAppSelector } from '../hooks';
import { SignButton } from '../../ui/Button';
import { keySheetToggled } from '../editorSlice';
import { KEY_COMMANDS } from './keys';

export function KeySheet() {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector((state) => state.editor.keySheet);
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => dispatch(keySheetToggled(open))}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[720px] -translate-x-1/2 -translate-y-1/2 rounded-m bg-raised p-5 shadow-float"
        >
          <div className="mb-3 flex items-center justify-between">
            <Dialog.Title className="font-title text-lg font-semibold">Keys</Dialog.Title>
            <Dialog.Close asChild>
              <SignButton name="Close">
                <X size={16} aria-hidden />
              </SignButton>
            </Dialog.Close>
          </div>
          <dl className="columns-2 gap-8">
            {KEY_COMMANDS.map(({ keys, does }) => (
              <div
                key={keys}
                className="flex min-h-7 break-inside-avoid items-center gap-3 border-t border-hair"
              >
                <dt className="figures w-[128px] shrink-0 text-copper-ink">{keys}</dt>
                <dd className="text-sm text-soft">{does}</dd>
              </div>
            ))}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
