import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Button } from '../../ui/Button';
import { listAside, onAside, type SetAside } from '../saving/aside';

const SetAsideDialog = lazy(async () => ({ default: (await import('./SetAsideDialog')).SetAsideDialog }));

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
