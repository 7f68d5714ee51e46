import { Suspense } from 'react';
import { whenShown } from '../../ui/lazily';
import { useAppSelector } from '../hooks';

const UploadTray = whenShown(() => import('./UploadTray').then((file) => file.UploadTray));

/** The tray of uploads, while there is anything in it. */
export function Uploads() {
  const isEmpty = useAppSelector(
    ({ uploads: { batch, preparing, troubles, renumbered }, document }) =>
      !batch &&
      preparing === null &&
      troubles.length === 0 &&
      // Once something else was done there is no going back to that.
      renumbered?.steps !== document.past.length,
  );
  return isEmpty ? null : (
    <Suspense>
      <UploadTray />
    </Suspense>
  );
}
