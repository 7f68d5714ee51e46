import { AlertDialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { useFocusBack } from '../../ui/useFocusBack';
import { giveUp } from '../saving/asNew';
import { takeAway } from '../saving/takeAway';
import { selectShown } from '../document/selectors';
import { useAttempt } from './useAttempt';
import { useKeepAsNew } from './useKeepAsNew';

/** The collection was deleted elsewhere while it was open here: what there is of it can be kept. */
export function DeletedDialog() {
  const dispatch = useAppDispatch();
  const focusBack = useFocusBack();
  const navigate = useNavigate();
  const attempt = useAttempt();
  const keepAsNew = useKeepAsNew();
  const document = useAppSelector(selectShown);
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-[160] bg-ink/30" />
        <AlertDialog.Content
          {...focusBack}
          className="fixed top-1/3 left-1/2 z-[170] grid w-[520px] -translate-x-1/2 gap-3 rounded-m bg-raised p-5 shadow-float"
        >
          <AlertDialog.Title className="font-title text-lg font-semibold">
            “{document.name}” was deleted elsewhere
          </AlertDialog.Title>
          <AlertDialog.Description className="text-soft">
            Another tab or another person deleted this collection. Everything on this screen, your last
            changes too, is still here. Save it as a new collection, or download it as a file.
          </AlertDialog.Description>
          <div className="flex flex-wrap justify-end gap-2">
            <Button
              onClick={() =>
                attempt(async () => {
                  await dispatch(giveUp());
                  await navigate('/');
                })
              }
            >
              Discard collection
            </Button>
            <Button onClick={() => dispatch(takeAway(document, document.name))}>Download as a file</Button>
            <Button look="solid" onClick={keepAsNew}>
              Save as a new collection
            </Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
