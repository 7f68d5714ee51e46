import { useAppSelector } from '../hooks';
import { NotSaved } from './NotSaved';
import { selectIsBehind, selectSaving } from '../document/selectors';

/** Saved, saving, or not saved and why. */
export function SavedState() {
  const saving = useAppSelector(selectSaving);
  const isBehind = useAppSelector(selectIsBehind);
  if (saving.state === 'saved' || saving.state === 'saving') {
    return (
      <span role="status" aria-label="Saving state" className="min-w-[46px]">
        {saving.state === 'saved' && !isBehind ? 'Saved' : 'Saving…'}
      </span>
    );
  }
  const why =
    saving.state === 'asked'
      ? 'Changed here and elsewhere. Choose which changes to keep.'
      : saving.state === 'deleted'
        ? 'This collection was deleted elsewhere. Save it as a new one, or download it.'
        : saving.why;
  return <NotSaved why={why} />;
}
