import { expose } from 'comlink';
import type { PathedFile } from '../../editor/pictures/unpackArchive';
import { readFiles, type Opened, type Tell } from './readFiles';

const reader = {
  read: (files: readonly PathedFile[], tell: Tell): Promise<Opened> => readFiles(files, tell),
};
export type Reader = typeof reader;
expose(reader);
