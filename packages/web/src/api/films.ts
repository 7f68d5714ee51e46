import type { FilmAsset } from '@noria/core';
import { workspacePath } from './workspace';

/** Where the server has films. */
export const films = () => workspacePath('films');

export const filmAddress = ({ hash }: Pick<FilmAsset, 'hash'>) => `${films()}/${hash}`;
