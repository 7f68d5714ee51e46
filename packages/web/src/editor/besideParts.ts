/** What comes beside the first paint of the page, fetched as one: what one lays hands on, and what is said of it. */
export { Belt } from './belt/Belt';
export { ColumnLedge, RowLedge } from './ledges/Ledges';
export { FindingMarks, HeatStrip } from './ruler/HeatStrip';
export { Settings } from './settings/Settings';
export { Holes } from './stage/Holes';
export { SelectionMarks } from './stage/SelectionMarks';
export { TileHands } from './stage/TileHands';
