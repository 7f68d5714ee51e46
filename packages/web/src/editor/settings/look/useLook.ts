import { setLook, type Command, type Tile, type TileLook } from '@noria/core';
import { useAppDispatch } from '../../hooks';
import { runHere, tryHere } from '../../here';
import { shared } from '../shared';

export type LookValues = { [K in keyof TileLook]?: TileLook[K] | undefined };

/** The look of the selected tiles, and how it is set for all of them. */
export interface Look {
  /** The first one's. */
  readonly look: TileLook;
  readonly tiles: readonly [Tile, ...Tile[]];
  /** The value that all have; null when they differ. */
  readonly all: <K extends keyof TileLook>(field: K) => TileLook[K] | null;
  /** One step in the history; steps of the same key that follow each other are one. */
  readonly set: (step: string, values: LookValues, key?: string) => void;
  readonly command: (values: LookValues) => Command;
  readonly tryOut: (values: LookValues | null) => void;
}

export function useLook(tiles: readonly [Tile, ...Tile[]]): Look {
  const dispatch = useAppDispatch();
  const ids = tiles.map(({ id }) => id);
  const command = (values: LookValues) => setLook(ids, values);
  return {
    look: tiles[0].look,
    tiles,
    all: (field) => {
      const texts = tiles.map((tile) => JSON.stringify(tile.look[field]));
      return shared(texts) === null && texts[0] !== undefined ? null : tiles[0].look[field];
    },
    set: (step, values, key) =>
      dispatch(runHere(step, command(values), key === undefined ? null : `${key} ${ids.join()}`)),
    command,
    tryOut: (values) => dispatch(tryHere(values && command(values))),
  };
}
