import { Suspense } from 'react';
import { whenShown } from '../../ui/lazily';
import { useAppSelector } from '../hooks';

const UploadTray = whenShown(() => import('./UploadTray').then((file) => file.UploadTray));

/** The tray of uploads, while there is anything in it. */
export function Uploads() {
  const isEmpty = useAppSelector(
    ({ uploads: { batch, preparing, troubles } }) => !batch && preparing === null && troubles.length === 0,
  );
  return isEmpty ? null : (
    <Suspense>
      <UploadTray />
    </Suspense>
  );
}
