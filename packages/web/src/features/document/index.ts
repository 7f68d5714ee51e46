export { documentSlice, opened, changed, type Saving } from './documentSlice';
export { goToStep, outcome, run, runPatch, tryOut, tryPatch, undo, redo } from './commands';
export { open } from './open';
export { saver } from './saver';
export { keepMineAsCopy, takeTheirs } from './settleConflict';
export { selectFuture, selectIsOpen, selectPast, selectSaved, selectSaving, selectShown } from './selectors';
