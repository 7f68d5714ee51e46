import {
  bringing,
  changedAs,
  inheritLook,
  setLookFor,
  type Command,
  type FamilyName,
  type LookChange,
  type OwnFamily,
  type Tile,
  type TileLook,
} from '@noria/core';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { LOOK } from '../../fields/fields';
import { runHere, tryHere } from '../../here';
import { selectBand, selectLooks, selectSetFor, selectView } from '../../selectors';
import { shared } from '../shared';

/** Of large type, or of everything else. */
export type Role = 'heading' | 'body';

/** What a row shows of values that a band sets itself. */
interface Here {
  readonly setHere: boolean;
  readonly onInherit: () => void;
}

/** The look of the selected tiles in this band, and how it is set for all of them, here or at all widths. */
export interface Look {
  /** The first one's. */
  readonly look: TileLook;
  readonly tiles: readonly [Tile, ...Tile[]];
  /** The value that all have; null when they differ. */
  readonly all: <K extends keyof TileLook>(field: K) => TileLook[K] | null;
  /** What is changed of the first one’s is set for all, as one step in the history; steps of the same key that follow each other are one. */
  readonly set: (step: string, values: LookChange, key?: string) => void;
  /** As `set`, with values for each tile. */
  readonly setEach: (step: string, values: readonly LookChange[]) => void;
  /** @param own the family with its files, where it does not ship with Noria */
  readonly setFamily: (role: Role, name: FamilyName, own: OwnFamily | null) => void;
  readonly command: (values: LookChange) => Command;
  readonly tryOut: (values: LookChange | null) => void;
  readonly here: (...fields: (keyof TileLook)[]) => Here;
}

export function useLook(given: readonly [Tile, ...Tile[]]): Look {
  const dispatch = useAppDispatch();
  const ids = given.map(({ id }) => id);
  const setFor = useAppSelector(selectSetFor);
  const index = useAppSelector((state) => selectBand(state).index);
  const dressed = useAppSelector((state) => ids.map((id) => selectLooks(state).tiles[id]), shallowEqual);
  const [first, ...others] = given;
  const tiles = [dressed[0] ?? first, ...others.map((tile, k) => dressed[k + 1] ?? tile)] as const;
  const own = useAppSelector(
    (state) => ids.map((id) => selectView(state).bands[index - 1]?.looks?.[id]),
    shallowEqual,
  );
  const each =
    (values: readonly LookChange[]): Command =>
    (draft) =>
      ids.forEach((id, k) => setLookFor([id], values[k] ?? {}, index, setFor)(draft));
  const command = (values: LookChange) =>
    each(tiles.map(({ look }) => changedAs(look, tiles[0].look, values)));
  return {
    look: tiles[0].look,
    tiles: [...tiles],
    all: (field) => {
      const texts = tiles.map((tile) => JSON.stringify(tile.look[field]));
      return shared(texts) === null && texts[0] !== undefined ? null : tiles[0].look[field];
    },
    set: (step, values, key) =>
      dispatch(runHere(step, command(values), key === undefined ? null : `${key} ${ids.join()}`)),
    setEach: (step, values) => dispatch(runHere(step, each(values))),
    setFamily: (role, name, own) => {
      const chosen = command({ [`${role}Family`]: name });
      dispatch(runHere(LOOK[`${role}Family`].label, own ? bringing(own, chosen) : chosen));
    },
    command,
    tryOut: (values) => dispatch(tryHere(values && command(values))),
    here: (...fields) => ({
      setHere: own.some((look) => fields.some((field) => look?.[field] !== undefined)),
      onInherit: () => void dispatch(runHere('Inherit', inheritLook(ids, index, fields))),
    }),
  };
}
