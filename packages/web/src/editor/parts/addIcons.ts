import { clone, setPart, type IconAsset, type IconsPart, type TileId } from '@noria/core';
import { runHere } from '../here';
import type { AppThunk } from '../state';

/** Adds icons to a row in some tiles, as one step. */
export const addIcons = (ids: readonly TileId[], part: IconsPart, added: readonly IconAsset[]): AppThunk =>
  runHere(added.length === 1 ? 'Add icon' : `Add ${added.length} icons`, (draft) => {
    for (const icon of added) (draft.icons ??= {})[icon.id] ??= clone(icon);
    const items = added.map(({ id, name }) => ({ icon: id, picture: null, label: name, address: '' }));
    setPart(ids, part.id, { icons: [...part.icons, ...items] })(draft);
  });
