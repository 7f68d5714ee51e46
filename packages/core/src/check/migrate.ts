import { isObject, shown } from '../document/checks.js';
import { FORMAT_VERSION } from '../document/types.js';
import type { Problem } from '../document/problems.js';

type Migration = (document: Record<string, unknown>) => Record<string, unknown>;

/** By the version each starts from. Version 1 is the first, so there is none yet. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {};

/** Brings a document of an older format version up to the present one. */
export function migrate(input: unknown): { value: unknown; problems: readonly Problem[] } {
  const refuse = (path: string, message: string) => ({
    value: input,
    problems: [{ path, severity: 'error', message } as const],
  });
  if (!isObject(input)) return refuse('', `A collection is a JSON object; here it is ${shown(input)}.`);
  const { formatVersion } = input;
  if (typeof formatVersion !== 'number' || !Number.isInteger(formatVersion) || formatVersion < 1) {
    return refuse(
      '/formatVersion',
      `“formatVersion” is a whole number from 1; here it is ${shown(formatVersion)}. Is this a Noria collection?`,
    );
  }
  if (formatVersion > FORMAT_VERSION) {
    return refuse(
      '/formatVersion',
      `This collection has format version ${formatVersion}; this Noria reads up to ${FORMAT_VERSION}. Open it with a newer Noria.`,
    );
  }
  let value = input;
  for (let version = formatVersion; version < FORMAT_VERSION; version++) {
    value = MIGRATIONS[version]?.(value) ?? value;
  }
  return { value, problems: [] };
}
