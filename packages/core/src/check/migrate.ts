import { isObject, shown } from '../document/checks.js';
import { fromVersion1 } from './migrations/version1.js';
import { fromVersion2 } from './migrations/version2.js';
import { FORMAT_VERSION } from '../document/types.js';
import type { Problem } from '../document/problems.js';

type Migration = (document: Record<string, unknown>) => Record<string, unknown>;

/** By the version each starts from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = { 1: fromVersion1, 2: fromVersion2 };

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
  return { value: broughtUp(input), problems: [] };
}

/**
 * A document of an older format version as one of another; what is of no known version, or of that one
 * already, is the same object. Whether it is sound is not looked at.
 * @param to the version that is wanted, at most the present one
 */
export function broughtUp(document: unknown, to: number = FORMAT_VERSION): unknown {
  if (!isObject(document) || typeof document.formatVersion !== 'number') return document;
  let value = document;
  for (let version = document.formatVersion; version < to; version++)
    value = MIGRATIONS[version]?.(value) ?? value;
  return value;
}
