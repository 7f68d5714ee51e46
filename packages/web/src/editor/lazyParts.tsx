import { beside } from '../ui/lazily';

const parts = () => import('./besideParts');

export const Settings = beside(
  () => parts().then((file) => file.Settings),
  <aside aria-label="Settings" className="border-r border-hair bg-panel" />,
);
export const Belt = beside(
  () => parts().then((file) => file.Belt),
  <footer className="col-span-2 border-t border-hair bg-panel" />,
);
export const ColumnLedge = beside(() => parts().then((file) => file.ColumnLedge));
export const RowLedge = beside(() => parts().then((file) => file.RowLedge));
export const HeatStrip = beside(() => parts().then((file) => file.HeatStrip));
export const FindingMarks = beside(() => parts().then((file) => file.FindingMarks));
export const Holes = beside(() => parts().then((file) => file.Holes));
export const SelectionMarks = beside(() => parts().then((file) => file.SelectionMarks));
export const TileHands = beside(() => parts().then((file) => file.TileHands));
