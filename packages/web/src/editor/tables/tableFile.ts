import { readTable, type ReadTable, type Tile } from '@noria/core';
import { freshId } from '../actions/freshId';

export const TABLE_TYPES = '.csv,.tsv,.json,text/csv,application/json';

export const fresh = ({ kind }: Tile) => freshId(kind);
export const words = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Reads a file as a table; says why when it is none. */
export async function readFile(file: File): Promise<ReadTable> {
  try {
    return readTable(new Uint8Array(await file.arrayBuffer()));
  } catch (error) {
    throw new Error(`“${file.name}” was not imported. ${words(error)}`, { cause: error });
  }
}

/** No column can have this name: names are trimmed. */
export const NO_COLUMN = ' ';
