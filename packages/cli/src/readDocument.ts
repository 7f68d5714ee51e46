import {
  checkDocument,
  followsWider,
  followWider,
  formatProblem,
  type CollectionDocument,
  type TextMeasurer,
} from '@noria/core';
import { dirname } from 'node:path';
import { CliError, why } from './CliError.js';
import { readText } from './files.js';
import { fontsFor } from './fonts.js';

/** A collection, and what measures its words. */
export interface ReadCollection {
  readonly document: CollectionDocument;
  readonly measurer: TextMeasurer;
  /** Beside which its pictures and fonts lie. */
  readonly folder: string;
}

/**
 * Reads a `.noria.json` file, or one from standard input (`-`); what the checker notices goes to standard error.
 * @param given its text, where that was read already
 * @throws CliError when the file can't be read, is no JSON, or is no sound collection
 */
export async function readDocument(file: string, given?: string): Promise<ReadCollection> {
  const text = given ?? (await readText(file));
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new CliError(`${file} is not JSON: ${why(error)}`);
  }
  const { document, problems } = checkDocument(json);
  const lines = problems.map((problem) => `  ${formatProblem(problem)}`).join('\n');
  if (!document) throw new CliError(`${file} is not a sound collection:\n${lines}`);
  if (problems.length > 0) console.error(`${file}:\n${lines}`);
  const folder = dirname(file);
  const measurer = await fontsFor(document, folder);
  return { document: derived(document, measurer), measurer, folder };
}

/** With its narrower bands, where they are derived and the file has none yet, as one written by hand. */
function derived(document: CollectionDocument, measurer: TextMeasurer): CollectionDocument {
  if (document.bands.length > 0 || !followsWider(document)) return document;
  return followWider(document, measurer, (position) => `band-${position + 1}`);
}
