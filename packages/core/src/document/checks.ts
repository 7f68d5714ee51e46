import { pointerSegment, type Problem } from './problems.js';

/** Checks one value and says what is wrong with it. */
export type Check = (value: unknown, path: string, report: Reporter) => void;

export interface Reporter {
  (problem: Problem): void;
  /** Objects that were checked before, by the path where: the same one there is not looked at again. */
  readonly sound?: WeakMap<object, string>;
}

/** What a message shows of a value: its text, cut short. */
export function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = (JSON.stringify(value) as string | undefined) ?? typeof value;
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

const fail = (report: Reporter, path: string, message: string) =>
  report({ path, severity: 'error', message });

export const number =
  (least: number, most: number, what: string, whole = false): Check =>
  (value, path, report) => {
    const fits =
      typeof value === 'number' &&
      Number.isFinite(value) &&
      value >= least &&
      value <= most &&
      (!whole || Number.isInteger(value));
    if (fits) return;
    const kind = whole ? 'a whole number' : 'a number';
    fail(report, path, `${what} is ${kind} from ${least} to ${most}; here it is ${shown(value)}.`);
  };

export const text =
  (most: number, what: string, least = 0): Check =>
  (value, path, report) => {
    if (typeof value !== 'string') fail(report, path, `${what} is text; here it is ${shown(value)}.`);
    else if (value.length > most) {
      fail(report, path, `${what} has ${value.length} characters; at most ${most} are kept. Shorten it.`);
    } else if (value.includes('\0')) {
      fail(report, path, `${what} holds a character that no text can have (U+0000). Remove it.`);
    } else if (value.trim().length < least) fail(report, path, `${what} is empty. Write it.`);
  };

export const pattern =
  (fits: RegExp, what: string, like: string): Check =>
  (value, path, report) => {
    if (typeof value === 'string' && fits.test(value)) return;
    fail(report, path, `${what} is written like ${like}; here it is ${shown(value)}.`);
  };

export const oneOf =
  (values: readonly unknown[], what: string): Check =>
  (value, path, report) => {
    if (values.includes(value)) return;
    fail(report, path, `${what} is one of ${values.map(shown).join(', ')}; here it is ${shown(value)}.`);
  };

export const orNull =
  (check: Check): Check =>
  (value, path, report) => {
    if (value !== null) check(value, path, report);
  };

export const list =
  (check: Check, least: number, most: number, what: string): Check =>
  (value, path, report) => {
    if (!Array.isArray(value)) return fail(report, path, `${what} is a list; here it is ${shown(value)}.`);
    if (value.length < least || value.length > most) {
      fail(report, path, `${what} has ${least} to ${most} entries; here it has ${value.length}.`);
    }
    value.slice(0, most).forEach((entry, k) => check(entry, `${path}/${k}`, report));
  };

export const record =
  (check: (key: string) => Check, most: number, what: string): Check =>
  (value, path, report) => {
    if (!isObject(value)) return fail(report, path, `${what} is an object; here it is ${shown(value)}.`);
    const entries = Object.entries(value);
    if (entries.length > most)
      fail(report, path, `${what} has at most ${most} entries; here ${entries.length}.`);
    for (const [key, entry] of entries.slice(0, most)) {
      const at = `${path}/${pointerSegment(key)}`;
      if (isObject(entry) && report.sound?.get(entry) === at) continue;
      check(key)(entry, at, report);
    }
  };

/** An object whose fields are known; a field that is not is kept, with a notice. */
export const fields =
  (known: Readonly<Record<string, Check>>, what: string, optional: readonly string[] = []): Check =>
  (value, path, report) => {
    if (!isObject(value)) return fail(report, path, `${what} is an object; here it is ${shown(value)}.`);
    for (const [key, check] of Object.entries(known)) {
      const at = `${path}/${pointerSegment(key)}`;
      if (Object.hasOwn(value, key)) check(value[key], at, report);
      else if (!optional.includes(key)) fail(report, at, `${what} lacks “${key}”. Add it.`);
    }
    for (const key of Object.keys(value)) {
      if (Object.hasOwn(known, key)) continue;
      report({
        path: `${path}/${pointerSegment(key)}`,
        severity: 'notice',
        message: `“${key}” is not a field of ${what.toLowerCase()}. It is kept but has no effect; check its spelling, or remove it.`,
      });
    }
  };

export function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Says when an object does not have the id that it is stored under. */
export function sameId(value: unknown, key: string, path: string, report: Reporter): void {
  if (!isObject(value) || value.id === key) return;
  report({
    path: `${path}/id`,
    severity: 'error',
    message: `It is stored under “${key}”, so its id is “${key}” too; here it is ${shown(value.id)}.`,
  });
}
