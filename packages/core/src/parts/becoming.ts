/** A card that becomes another composition, without a word of it lost. */

import { wordNodes, plainWords } from './richText.js';
import { compositionNamed, compositions, startingParts } from './compositions/index.js';
import { partKindOf } from './index.js';
import type { CompositionName } from './part.js';
import type { Card, Part, PartName, Words } from '../document/types.js';

/** Parts whose words mean as much in a card: what is said large, and what explains that. */
const ROLES: readonly (readonly PartName[])[] = [
  ['heading', 'figure', 'quote', 'action'],
  ['text', 'label', 'source'],
];

/** Whether the words of one part mean in a card what those of another do. */
export const meansAsMuch = (a: PartName, b: PartName): boolean =>
  a === b || ROLES.some((role) => role.includes(a) && role.includes(b));

/** The part that the words of a part were written in. */
export const writtenIn = ({ id, kind, from }: Part): Pick<Part, 'id' | 'kind'> => from ?? { id, kind };

/** Whether a part says or shows anything. */
export const saysAnything = (part: Part): boolean => {
  const { empty, fields } = partKindOf(part);
  const held = part as unknown as Readonly<Record<string, unknown>>;
  const begins = empty as Readonly<Record<string, unknown>>;
  return Object.keys(fields).some((field) => JSON.stringify(held[field]) !== JSON.stringify(begins[field]));
};

/** Whether a part has words that another kind of part takes. */
export const canGive = (part: Part, kind: PartName): boolean =>
  'words' in part && !lacksWords(part) && wordsFor(kind, part.words) !== undefined;

/** Whether the words of a part were written in that very part. */
export function isWrittenIn(part: Part, { id, kind }: Pick<Part, 'id' | 'kind'>): boolean {
  const from = writtenIn(part);
  return from.kind === kind && from.id === id;
}

/** A part that took what another held, and remembers where that was written. */
export const remembering = (part: Part, other: Part): Part =>
  isWrittenIn(other, part) ? part : { ...part, from: writtenIn(other) };

/** A part with the words of another, and where those were written. */
export const withWordsOf = (part: Part, other: Part): Part =>
  remembering({ ...part, words: 'words' in other && wordsFor(part.kind, other.words) } as Part, other);

/** Whether a part has a place for words and none in it. */
export const lacksWords = (part: Part): boolean => 'words' in part && plainWords(part.words) === '';

/** What a part holds beside words that it gave away: an action keeps its address. Nothing where that is all. */
export function withoutWords(part: Part): readonly Part[] {
  const { from: _, ...rest } = { ...part, words: '' } as Part;
  return saysAnything(rest) ? [rest] : [];
}

/** Whether a part says what every new one says, so that nobody has written it. */
const isSample = (part: Part): boolean =>
  'words' in part && compositions().some(({ begins }) => begins?.[part.kind]?.words === part.words);

/**
 * The words of a part as another kind of part takes them; undefined where it can’t take them all: it has
 * no words, or they are rich and it takes plain ones alone.
 */
export function wordsFor(kind: PartName, words: Words): Words | undefined {
  const field = partKindOf({ kind }).slots.find((slot) => slot.field === 'words');
  if (!field) return undefined;
  return typeof words === 'string' || field.takesRich
    ? words
    : isPlain(words)
      ? plainWords(words)
      : undefined;
}

const isPlain = (words: Words): boolean => {
  const nodes = wordNodes(words);
  return (
    nodes.length <= 1 &&
    nodes.every((node) => typeof node !== 'string' && node.inside.every((each) => typeof each === 'string'))
  );
};

/**
 * The parts of a card as another composition begins with them: each takes what there is of its kind, or
 * words that mean as much; what finds no place there stays after them, hidden.
 */
export function becoming({ parts }: Card, name: CompositionName): readonly Part[] {
  const left = parts.filter((part) => saysAnything(part) && !isSample(part));
  const take = (fits: (part: Part) => boolean): Part | undefined => {
    const shown = left.findIndex((part) => !part.hidden && fits(part));
    const at = shown === -1 ? left.findIndex(fits) : shown;
    return at === -1 ? undefined : left.splice(at, 1)[0];
  };
  const starts = startingParts(name);
  const wanted = new Set(compositionNamed(name).parts);
  const own = starts.map((start) => take((part) => part.kind === start.kind && part.from === undefined));
  const given: (Part | undefined)[] = starts.map(() => undefined);
  const give = (fits: (part: Part, start: Part) => boolean) =>
    starts.forEach((start, k) => {
      if (given[k] || (own[k] && !lacksWords(own[k]))) return;
      given[k] = take((part) => canGive(part, start.kind) && fits(part, start));
      if (given[k]) left.push(...withoutWords(given[k]));
    });
  // What was written as such a part comes back before what was another.
  give((part, start) => writtenIn(part).kind === start.kind);
  give((part, start) => meansAsMuch(writtenIn(part).kind, start.kind) && !wanted.has(writtenIn(part).kind));
  const filled = starts.map((start, k): Part => {
    const begun = own[k] ? plain(own[k]) : { ...start, ...partKindOf(start).empty };
    return given[k] ? withWordsOf(begun, given[k]) : begun;
  });
  const made = filled.some(saysAnything) ? filled : starts;
  return withFreshIds([...made, ...left.map((part): Part => ({ ...plain(part), hidden: true }))]);
}

/** A part as another kind of part that takes its words; as it is where that takes them not. */
export function asKind(part: Part, kind: PartName): Part {
  if (part.kind === kind) return part;
  const words = 'words' in part ? wordsFor(kind, part.words) : undefined;
  if (words === undefined) return part;
  const { id, hidden, beside, align, from } = part;
  return {
    id,
    kind,
    ...partKindOf({ kind }).empty,
    words,
    ...(hidden && { hidden }),
    ...(beside && { beside }),
    ...(align && { align }),
    ...(from && { from }),
  } as Part;
}

/** A part that is shown in a line of its own. */
function plain(part: Part): Part {
  const { hidden: _, beside: __, align: ___, ...rest } = part;
  return rest;
}

/** Ids that tell parts apart; the first of an id keeps it. */
function withFreshIds(parts: readonly Part[]): readonly Part[] {
  const given: Part[] = [];
  for (const part of parts) {
    const isTaken = given.some(({ id }) => id === part.id);
    given.push(isTaken ? { ...part, id: freshPartId([...given, ...parts], part.kind) } : part);
  }
  return given;
}

/** An id for one more part of a kind. */
export function freshPartId(parts: readonly Part[], kind: PartName): string {
  const taken = new Set(parts.map(({ id }) => id));
  if (!taken.has(kind)) return kind;
  for (let k = 2; ; k++) if (!taken.has(`${kind}-${k}`)) return `${kind}-${k}`;
}
