import type { FamilyName, FilmId, FontFace, PictureId } from '../../document/types.js';

/** A file of a page whose bytes the caller has to bring. */
export type PageAsset =
  | {
      readonly path: string;
      readonly kind: 'picture';
      readonly picture: PictureId;
      readonly inlineSize: number;
    }
  | { readonly path: string; readonly kind: 'film'; readonly film: FilmId }
  | { readonly path: string; readonly kind: 'font'; readonly family: FamilyName; readonly file: string }
  /** A font that was added, cut down to some characters. */
  | { readonly path: string; readonly kind: 'ownFont'; readonly face: FontFace; readonly characters: string };
