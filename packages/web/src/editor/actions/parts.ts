import {
  addPart,
  becomeComposition,
  compositionNamed,
  movePart,
  placePart,
  removePart,
  repeatPart,
  type Command,
  type CompositionName,
  type Part,
  type PartName,
  type TileId,
} from '@noria/core';
import { announce } from '../../ui/notices/noticesSlice';
import { runHere } from '../here';
import { partName } from '../parts/partNames';
import type { AppThunk } from '../state';

type Ids = readonly TileId[];

/** Runs a step on parts, and says what it did. */
const did =
  (step: string, command: Command, says: string): AppThunk =>
  (dispatch) => {
    if (dispatch(runHere(step, command))) dispatch(announce(says));
  };

export const partAdded = (ids: Ids, kind: PartName): AppThunk =>
  did('Add part', addPart(ids, kind), `${partName({ kind })} added.`);

export const partRemoved = (ids: Ids, part: Part): AppThunk =>
  did('Remove part', removePart(ids, part.id), `${partName(part)} removed.`);

export const partRepeated = (ids: Ids, part: Part): AppThunk =>
  did('Repeat part', repeatPart(ids, part.id), `${partName(part)} repeated.`);

export const partMoved = (ids: Ids, part: Part, by: number): AppThunk =>
  did('Move part', movePart(ids, part.id, by), `${partName(part)} moved ${by < 0 ? 'up' : 'down'}.`);

export const partShown = (ids: Ids, part: Part, isShown: boolean): AppThunk =>
  did(
    isShown ? 'Show part' : 'Hide part',
    placePart(ids, part.id, { hidden: isShown ? undefined : true }),
    `${partName(part)} ${isShown ? 'shown' : 'hidden; what it holds is kept'}.`,
  );

export const partBeside = (ids: Ids, part: Part, isBeside: boolean): AppThunk =>
  did(
    'In line',
    placePart(ids, part.id, { beside: isBeside || undefined }),
    `${partName(part)} ${isBeside ? 'in line with the part before' : 'in a line of its own'}.`,
  );

export const partAligned = (ids: Ids, part: Part, align: Part['align']): AppThunk =>
  did('Alignment of the part', placePart(ids, part.id, { align }), `${partName(part)} aligned.`);

/** Makes cards another kind; what they say stays. */
export const kindChosen = (ids: Ids, name: CompositionName): AppThunk =>
  did(
    'Kind',
    becomeComposition(ids, name),
    `${compositionNamed(name).title}. What finds no place in it is kept, hidden.`,
  );
