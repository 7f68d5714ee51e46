import { AlertDialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { keepMineAsCopy, selectSaving, takeTheirs } from '../document';
import { warn } from '../notices';

/** Asks what to keep when a change from elsewhere and ours don't fit together. Nothing is lost unasked. */
export function ConflictDialog() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { state } = useAppSelector(selectSaving);
  const attempt = (work: () => Promise<unknown>) => {
    work().catch((error: unknown) => dispatch(warn(error instanceof Error ? error.message : String(error))));
  };
  return (
    <AlertDialog.Root open={state === 'conflict'}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 grid w-[440px] -translate-x-1/2 gap-3 rounded-m bg-raised p-5 shadow-float">
          <AlertDialog.Title className="font-title text-lg font-semibold">
            Changed in two places
          </AlertDialog.Title>
          <AlertDialog.Description className="text-soft">
            This collection was changed elsewhere while you worked on it, and the two changes don’t fit
            together. Yours are kept in this browser until you choose.
          </AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <Button onClick={() => attempt(() => dispatch(takeTheirs()))}>Take the other version</Button>
            <Button
              look="solid"
              onClick={() =>
                attempt(async () => {
                  const copy = await dispatch(keepMineAsCopy());
                  if (copy) await navigate(`/collections/${copy}/compose`);
                })
              }
            >
              Keep mine as a new collection
            </Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
