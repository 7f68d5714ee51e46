import { beside } from '../ui/lazily';

/** What comes beside the first paint of the stage. */
export const Settings = beside(
  () => import('./settings/Settings').then((file) => file.Settings),
  <aside aria-label="Settings" className="border-r border-hair bg-panel" />,
);

export const Belt = beside(
  () => import('./belt/Belt').then((file) => file.Belt),
  <footer className="col-span-2 border-t border-hair bg-panel" />,
);
