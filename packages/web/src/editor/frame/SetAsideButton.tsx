import { Suspense, useCallback, useEffect, useState } from 'react';
import { Button } from '../../ui/Button';
import { whenShown } from '../../ui/lazily';
import { listAside, onAside, type SetAside } from '../saving/aside';

const SetAsideDialog = whenShown(() => import('./SetAsideDialog').then((file) => file.SetAsideDialog));

/** Opens the versions that were set aside in this browser; not there while there are none. */
export function SetAsideButton() {
  const [versions, setVersions] = useState<readonly SetAside[]>([]);
  const [open, setOpen] = useState(false);
  const load = useCallback(() => void listAside().then(setVersions, () => undefined), []);
  useEffect(() => {
    load();
    return onAside(load);
  }, [load]);
  if (versions.length === 0) return null;
  return (
    <>
      <Button aria-haspopup="dialog" onClick={() => setOpen(true)}>
        Set aside: {versions.length}
      </Button>
      {open && (
        <Suspense>
          <SetAsideDialog versions={versions} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
