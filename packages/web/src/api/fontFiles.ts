/** What a field for font files takes. */
export const FONT_FILES = '.woff2,.ttf,.otf,font/woff2,font/ttf,font/otf';

/** Whether a file is one of a font, by its name or its type. */
export const isFontFile = ({ name, type }: Pick<File, 'name' | 'type'>): boolean =>
  /\.(woff2?|ttf|otf|ttc)$/i.test(name) || type.startsWith('font/');
