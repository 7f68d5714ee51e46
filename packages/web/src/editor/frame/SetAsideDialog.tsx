import { useNavigate } from 'react-router';
import { useAppDispatch } from '../hooks';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { dropAside, type SetAside } from '../saving/aside';
import { saveAsNew } from '../saving/asNew';
import { takeAway } from '../saving/takeAway';
import { useAttempt } from './useAttempt';

const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

interface SetAsideDialogProps {
  readonly versions: readonly SetAside[];
  readonly onClose: () => void;
}

/** The versions that were set aside in this browser. */
export function SetAsideDialog({ versions, onClose }: SetAsideDialogProps) {
  return (
    <Sheet
      title="Versions set aside"
      open
      onClose={onClose}
      says="Versions of collections that were not chosen, or could not be saved. They are kept in this browser only."
      className="top-[12vh] max-h-[76vh] w-[640px]"
    >
      <ul className="grid min-h-0 overflow-y-auto [scrollbar-width:thin]">
        {versions.map((version) => (
          <Version key={version.id} version={version} onOpened={onClose} />
        ))}
      </ul>
    </Sheet>
  );
}

function Version({ version, onOpened }: { version: SetAside; onOpened: () => void }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const attempt = useAttempt();
  const { document, at, why, id } = version;
  return (
    <li className="grid gap-1.5 border-t border-hair py-3">
      <h3 className="font-semibold">
        {document.name} <span className="figures font-normal text-faint">{moment.format(at)}</span>
      </h3>
      <p className="max-h-16 overflow-hidden text-sm break-words text-soft">{why}</p>
      <div className="flex gap-2">
        <Button
          onClick={() =>
            attempt(async () => {
              const copy = await saveAsNew(document);
              onOpened();
              await navigate(`/collections/${copy}/compose`);
            })
          }
        >
          Save as a new collection
        </Button>
        <Button onClick={() => dispatch(takeAway(document, document.name))}>Download as a file</Button>
        <Button onClick={() => attempt(() => dropAside(id))}>Delete this version</Button>
      </div>
    </li>
  );
}
