import { Popover } from 'radix-ui';

/** That changes are not saved; why, when it is pressed. */
export function NotSaved({ why }: { readonly why: string }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="flex items-center gap-1.5 rounded-s font-semibold text-amiss">
        <span role="status" aria-label="Saving state">
          Not saved
        </span>
        <span className="font-normal underline">why</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          className="z-40 w-[320px] rounded-m bg-raised p-3 text-ink shadow-float"
        >
          {why}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
