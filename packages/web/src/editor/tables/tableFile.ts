import { readTable, type ReadTable, type Tile } from '@noria/core';
import { freshId } from '../actions/freshId';

export const TABLE_TYPES = '.csv,.tsv,.json,text/csv,application/json';

export const fresh = ({ kind }: Tile) => freshId(kind);
export const words = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Whether a file is a table, by its name or its type. */
export const isTableFile = ({ name, type }: Pick<File, 'name' | 'type'>): boolean =>
  /\.(csv|tsv|json)$/i.test(name) || isTableType(type);

/** Whether a file of such a type is a table. */
export const isTableType = (type: string): boolean =>
  ['text/csv', 'text/tab-separated-values', 'application/json'].includes(type);

/** A table that is about to become tiles, by the name of its file. */
export interface ArrivingTable {
  readonly name: string;
  readonly table: ReadTable;
}

export const readArriving = async (file: File): Promise<ArrivingTable> => ({
  name: file.name.replace(/\.[^.]+$/, ''),
  table: await readFile(file),
});

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
