import { checkDocument, formatProblem, type CollectionDocument } from '@noria/core';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = join(__dirname, '../../../../demo');

/** The demo collections, by name. */
export const DEMOS = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.noria.json'))
  .map((file) => JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as CollectionDocument)
  .map((document) => [document.name, document] as const);

/** What the checker would refuse in a collection when it is read again from its file. */
export const errorsIn = (document: CollectionDocument): readonly string[] =>
  checkDocument(JSON.parse(JSON.stringify(document)))
    .problems.filter(({ severity }) => severity === 'error')
    .map(formatProblem);
