import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkDocument } from '../check/checkDocument.js';
import type { CollectionDocument } from '../document/types.js';

/** A collection that comes with Noria. */
export function demoDocument(name: string): CollectionDocument {
  const file = join(__dirname, '..', '..', '..', '..', 'demo', `${name}.noria.json`);
  const { document } = checkDocument(JSON.parse(readFileSync(file, 'utf8')));
  if (!document) throw new Error(`The demo “${name}” is sound.`);
  return document;
}
