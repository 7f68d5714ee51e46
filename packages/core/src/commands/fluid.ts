import { bandsOf } from '../document/bands.js';
import { fluidOf } from '../fluid/columns.js';
import { setArrangement } from './arrangement.js';
import type { Command } from '../patch/change.js';
import type { ArrangementName, FluidColumns } from '../document/types.js';
import type { SetFor } from './place.js';

/** Sets how tiles are laid out; columns and spans are kept for when another kind comes back. */
export const setKind = (kind: ArrangementName, band: number, setFor: SetFor): Command =>
  setArrangement({ kind }, band, setFor);

/** Sets how many columns a fluid arrangement has. */
export function setFluid(values: Partial<FluidColumns>, band: number, setFor: SetFor): Command {
  return (draft) => {
    const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    setArrangement({ fluid: { ...fluidOf(arrangement), ...values } }, band, setFor)(draft);
  };
}
