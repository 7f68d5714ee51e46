import { X } from 'lucide-react';
import { Progress } from 'radix-ui';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { cancelUploads } from './upload';
import { takeAsPicked } from '../actions/pictures';
import { renumberedNoted, troublesRead } from './uploadsSlice';

/** What is being uploaded, how far it has come, and what was not taken. */
export function UploadTray() {
  const dispatch = useAppDispatch();
  const { batch, preparing } = useAppSelector(({ uploads }) => uploads);
  const over = batch ? batch.done + batch.failed : 0;
  const says = preparing ?? (batch ? `${over} of ${batch.total} pictures` : null);
  return (
    <section
      aria-label="Uploads"
      className="fixed right-4 bottom-[116px] z-[140] grid w-[340px] gap-2 rounded-m bg-raised p-3.5 shadow-float"
    >
      {says !== null && (
        <>
          <div className="flex items-center justify-between gap-3">
            <span role="status" className="figures truncate">
              {says}
            </span>
            <Button onClick={() => dispatch(cancelUploads())}>Cancel</Button>
          </div>
          <Progress.Root
            aria-label="Uploaded"
            value={batch ? over : null}
            max={Math.max(1, batch?.total ?? 1)}
            className="h-1.5 overflow-hidden rounded-full bg-field"
          >
            <Progress.Indicator
              className="h-full bg-copper"
              style={{ width: `${batch ? (over / Math.max(1, batch.total)) * 100 : 100}%` }}
            />
          </Progress.Root>
        </>
      )}
      <InNumberOrder />
      <Troubles />
    </section>
  );
}

/** Says that pictures came by their numbers, with the way to the order in which they were picked. */
function InNumberOrder() {
  const dispatch = useAppDispatch();
  const renumbered = useAppSelector(({ uploads, document }) =>
    uploads.renumbered?.steps === document.past.length ? uploads.renumbered : null,
  );
  if (!renumbered) return null;
  return (
    <div className="grid grid-cols-[1fr_auto_auto] items-center gap-2">
      <span role="status">{renumbered.picked.length} pictures by number.</span>
      <Button onClick={() => dispatch(takeAsPicked(renumbered))}>Use the order picked</Button>
      <SignButton name="Dismiss" onClick={() => dispatch(renumberedNoted(null))}>
        <X size={14} aria-hidden />
      </SignButton>
    </div>
  );
}

/** What was not taken, and why, until it has been read. */
export function Troubles() {
  const dispatch = useAppDispatch();
  const { troubles } = useAppSelector(({ uploads }) => uploads);
  if (troubles.length === 0) return null;
  return (
    <div role="alert" className="grid grid-cols-[1fr_auto] gap-2">
      <ul className="grid max-h-[180px] gap-1 overflow-y-auto text-sm [scrollbar-width:thin]">
        {troubles.map((trouble, k) => (
          <li key={k} className="border-l-2 border-amiss pl-2">
            {trouble}
          </li>
        ))}
      </ul>
      <SignButton name="Dismiss" onClick={() => dispatch(troublesRead())}>
        <X size={14} aria-hidden />
      </SignButton>
    </div>
  );
}
