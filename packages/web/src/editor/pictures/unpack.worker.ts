import { expose } from 'comlink';
import { PICTURES, unpackArchive } from './unpackArchive';

const unpacker = {
  pictures: async (archive: File): Promise<File[]> =>
    (await unpackArchive(archive, PICTURES)).map(({ file }) => file),
};
export type Unpacker = typeof unpacker;
expose(unpacker);
