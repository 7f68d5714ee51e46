export { documentSlice, opened, changed, type Saving } from './documentSlice';
export { goToStep, outcome, run, runPatch, tryOut, tryPatch, undo, redo } from './commands';
export { open } from './open';
export { decide } from './join';
export { keepDraining } from './drain';
export { followChanges } from './followChanges';
export { giveUp, keepAsNew, saveAsNew, takeAway } from './takeAway';
export { dropAside, listAside, onAside, type SetAside } from './aside';
export { saver } from './saver';
export {
  selectFuture,
  selectIsOpen,
  selectPast,
  selectQuestion,
  selectSaved,
  selectSaving,
  selectShown,
} from './selectors';
