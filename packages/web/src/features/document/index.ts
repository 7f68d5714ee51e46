export { documentSlice, opened, changed, type Saving } from './documentSlice';
export { run, tryOut, undo, redo } from './commands';
export { open } from './open';
export { saver } from './saver';
export { keepMineAsCopy, takeTheirs } from './settleConflict';
export { selectFuture, selectIsOpen, selectPast, selectSaving, selectShown } from './selectors';
