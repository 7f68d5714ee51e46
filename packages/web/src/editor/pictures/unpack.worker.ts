import { expose } from 'comlink';
import { unpackArchive } from './unpackArchive';

const unpacker = { unpackArchive };
export type Unpacker = typeof unpacker;
expose(unpacker);
