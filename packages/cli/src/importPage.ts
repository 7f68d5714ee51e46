import { readCollection } from '@noria/core';
import { readFile, writeFile } from 'node:fs/promises';
import { basename, dirname, resolve } from 'node:path';
import { CliError } from './CliError.js';
import { readLocal } from './layoutPage.js';

/**
 * Reads an HTML page into a collection file; what could not be taken over goes to standard error, by line.
 * @returns how many tiles there are
 * @throws CliError when the page can't be read or holds no grid
 */
export async function importPage(file: string, out: string): Promise<number> {
  let html: string;
  try {
    html = await readFile(file, 'utf8');
  } catch (error) {
    throw new CliError(`${file} can’t be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  const name = basename(file).replace(/\.html?$/i, '');
  const { document, reports } = readCollection(html, name, (href) => readLocal(dirname(resolve(file)), href));
  for (const { line, sheet, message } of reports) console.error(`${sheet ?? file}:${line}: ${message}`);
  if (!document) throw new CliError(`There is no grid in ${file}: no element with “display: grid”.`);
  await writeFile(out, `${JSON.stringify(document, null, 2)}\n`);
  return document.order.length;
}
