/** “Beds” or “3 tiles”. */
export const named = (tiles: readonly { readonly name: string }[]) =>
  tiles.length === 1 ? `“${tiles[0]?.name}”` : `${tiles.length} tiles`;
