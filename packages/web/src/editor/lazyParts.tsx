import { beside } from '../ui/lazily';

/** What comes beside the first paint of the stage and its ruler: nothing is found yet then. */
export const HeatStrip = beside<{ readonly length: number }>(() =>
  import('./ruler/HeatStrip').then((file) => file.HeatStrip),
);

export const FindingMarks = beside<{ readonly length: number }>(() =>
  import('./ruler/HeatStrip').then((file) => file.FindingMarks),
);

export const Settings = beside(
  () => import('./settings/Settings').then((file) => file.Settings),
  <aside aria-label="Settings" className="border-r border-hair bg-panel" />,
);

export const Belt = beside(
  () => import('./belt/Belt').then((file) => file.Belt),
  <footer className="col-span-2 border-t border-hair bg-panel" />,
);
