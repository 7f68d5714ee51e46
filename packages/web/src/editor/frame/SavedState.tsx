import { Popover } from 'radix-ui';
import { useAppSelector } from '../hooks';
import { selectSaving } from '../document/selectors';

/** Saved, saving, or not saved and why. */
export function SavedState() {
  const saving = useAppSelector(selectSaving);
  if (saving.state === 'saved' || saving.state === 'saving') {
    return (
      <span role="status" aria-label="Saving state" className="min-w-[46px]">
        {saving.state === 'saved' ? 'Saved' : 'Saving…'}
      </span>
    );
  }
  const why =
    saving.state === 'asked'
      ? 'Changed here and elsewhere. Choose which changes to keep.'
      : saving.state === 'deleted'
        ? 'This collection was deleted elsewhere. Save it as a new one, or download it.'
        : saving.why;
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
