import type { FontFace as Face } from '@noria/core';
import { workspacePath } from './workspace';

/** Where the server has fonts that were added. */
export const fonts = () => workspacePath('fonts');

/** Where a font file of core’s list is served from. */
export const shippedFontAddress = (file: string) => `/fonts/${file}`;

export const fontAddress = ({ hash }: Pick<Face, 'hash'>) => `${fonts()}/${hash}`;

/** The same font, cut down to some characters; these are asked for with it. */
export const subsetAddress = ({ hash }: Pick<Face, 'hash'>) => `${fonts()}/${hash}/subset`;
