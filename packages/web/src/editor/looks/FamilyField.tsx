import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Suspense, useState } from 'react';
import { whenShown } from '../../ui/lazily';
import { useName } from '../../ui/Rows';
import type { FamilyFieldProps } from './FamilyMenu';

const FamilyMenu = whenShown(() => import('./FamilyMenu').then((file) => file.FamilyMenu));

/** A type family: one that ships, one of the device, or one whose files were added. */
export function FamilyField({ value, onChoose }: FamilyFieldProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <DropdownMenu.Root open={isOpen} onOpenChange={setOpen}>
      <DropdownMenu.Trigger
        {...useName(undefined)}
        className="flex h-[26px] w-full min-w-0 items-center justify-between gap-1 rounded-s bg-field px-2 text-left"
      >
        <span className="truncate">{value ?? 'several'}</span>
        <ChevronDown size={13} className="flex-none text-faint" aria-hidden />
      </DropdownMenu.Trigger>
      {isOpen && (
        <Suspense>
          <FamilyMenu value={value} onChoose={onChoose} />
        </Suspense>
      )}
    </DropdownMenu.Root>
  );
}
