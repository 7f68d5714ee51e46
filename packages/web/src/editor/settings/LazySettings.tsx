import { lazy, Suspense } from 'react';

const read = () => import('./Settings');
// Asked for at once, so that it comes beside what is painted first.
const asked = read();
asked.catch(() => undefined);
const Settings = lazy(async () => ({ default: (await asked.catch(read)).Settings }));

/** The settings, whose script comes beside the first paint of the stage. */
export const LazySettings = () => (
  <Suspense fallback={<aside aria-label="Settings" className="border-r border-hair bg-panel" />}>
    <Settings />
  </Suspense>
);
