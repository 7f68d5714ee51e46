export type TileId = string;
export type PictureId = string;
export type FilmId = string;
export type IconId = string;
