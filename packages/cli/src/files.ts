import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { CliError, why } from './CliError.js';

/** Standard input, or standard output. */
export const STANDARD = '-';

/** More than this is no file that somebody wrote, bytes. */
const MOST_BYTES = 64 * 2 ** 20;

/**
 * The text of a file, or of standard input.
 * @throws CliError when it can't be read, or is too large
 */
export async function readText(file: string): Promise<string> {
  if (file === STANDARD) return readInput(process.stdin);
  let bytes: Buffer;
  try {
    bytes = await readFile(file);
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    throw new CliError(missing ? `There is no file ${file}.` : `${file} can’t be read: ${why(error)}.`);
  }
  return bounded(bytes, file);
}

/** The text of a stream. */
export async function readInput(input: AsyncIterable<Buffer | string>): Promise<string> {
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of input) {
    const bytes = Buffer.from(part);
    parts.push(bytes);
    if ((size += bytes.length) > MOST_BYTES) break;
  }
  return bounded(Buffer.concat(parts), 'Standard input');
}

function bounded(bytes: Buffer, of: string): string {
  if (bytes.length > MOST_BYTES)
    throw new CliError(`${of} is larger than ${MOST_BYTES / 2 ** 20} MB, which is as much as is read.`);
  return bytes.toString('utf8');
}

/**
 * Writes a text to a file, whose folders are made where they lack.
 * @throws CliError when it can't be written
 */
export async function writeText(file: string, text: string): Promise<void> {
  try {
    await mkdir(dirname(file), { recursive: true });
    await writeFile(file, text);
  } catch (error) {
    throw new CliError(`${file} can’t be written: ${why(error)}.`);
  }
}
