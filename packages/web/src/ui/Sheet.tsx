import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { SignButton } from './Button';
import { useFocusBack } from './useFocusBack';

interface SheetProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  /** What it is about, under the title. */
  readonly says?: string;
  /** Between the title and the close. */
  readonly beside?: ReactNode;
  /** Its size and place. */
  readonly className: string;
  readonly children: ReactNode;
}

/** A dialog with a title and a close, over everything else. */
export function Sheet({ title, open, onClose, says, beside, className, children }: SheetProps) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-[160] bg-ink/25" />
        <Dialog.Content
          {...(says === undefined && { 'aria-describedby': undefined })}
          {...focusBack}
          className={`fixed left-1/2 z-[170] flex max-w-[94vw] -translate-x-1/2 flex-col gap-3 rounded-m bg-raised p-5 shadow-float ${className}`}
        >
          <header className="flex items-center gap-3">
            <Dialog.Title className="mr-auto font-title text-lg font-semibold">{title}</Dialog.Title>
            {beside}
            <Dialog.Close asChild>
              <SignButton name="Close">
                <X size={16} aria-hidden />
              </SignButton>
            </Dialog.Close>
          </header>
          {says !== undefined && <Dialog.Description className="text-soft">{says}</Dialog.Description>}
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
