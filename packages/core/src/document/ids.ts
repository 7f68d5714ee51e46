export type TileId = string;
export type PictureId = string;
export type FilmId = string;
export type IconId = string;
/** Of a part, among those of its card. */
export type PartId = string;
