import { nameIn } from '../../parts/said.js';
import type { FindingKind } from './types.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** The figures of a finding at its worst. */
export type Said = Readonly<Record<string, number | string>>;

const COUNTS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

const counted = (count: number, one: string) => `${COUNTS[count] ?? count} ${count === 1 ? one : `${one}s`}`;
const whole = (value: unknown) => String(Math.round(Number(value)));
const up = (value: unknown) => String(Math.ceil(Number(value) - 0.001));
const down = (value: unknown) => String(Math.floor(Number(value) + 0.001));
const percent = (value: unknown) => `${Math.round(Number(value) * 100)} %`;
const gives = (count: unknown) => (Number(count) === 1 ? 'gives' : 'give');
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
const aspect = (said: Said) => (Number(said.inlineSize) / Number(said.blockSize)).toFixed(2);

const WHAT_NEEDS: Readonly<Record<string, string>> = {
  hand: 'Its minimum width is',
  figure: 'Its figure needs',
  words: 'Its longest word needs',
  line: 'A line of its words needs',
};

/** A finding in words: what it is, and why, with figures. */
export function say(
  document: CollectionDocument,
  kind: FindingKind,
  tiles: readonly TileId[],
  said: Said,
): { readonly title: string; readonly reason: string } {
  const [first = '', second = ''] = tiles.map((id) => `“${nameIn(document, id)}”`);
  const cells = counted(Number(said.columns) * Number(said.rows), 'cell');
  const stay = Number(said.columns) * Number(said.rows) === 1 ? 'stays' : 'stay';
  switch (kind) {
    case 'overlap':
      return {
        title: `${first} and ${second} overlap`,
        reason: `Both take the cell at column ${said.column}, row ${said.row}, on one layer.`,
      };
    case 'overflow':
      return {
        title: `${first} overflows`,
        reason: `It reaches ${up(said.by)} px out of its grid at ${said.width} px.`,
      };
    case 'clipped':
      return {
        title: `Text is clipped in ${first}`,
        reason: `Its words need ${up(said.need)} px of height; ${counted(Number(said.rows), 'row')} at ${whole(said.inline)} px of width ${gives(said.rows)} it ${down(said.has)}.`,
      };
    case 'squashed':
      return {
        title: `${first} is squashed`,
        reason: `${WHAT_NEEDS[String(said.by)] ?? 'It needs'} ${up(said.need)} px; ${counted(Number(said.columns), 'column')} of ${said.of} ${gives(said.columns)} it ${down(said.has)}.`,
      };
    case 'hole':
      if (said.lane !== undefined)
        return {
          title: `A hole before ${first}`,
          reason: `${whole(said.size)} px of lane ${said.lane} stay empty: ${first} lies over ${counted(Number(said.columns), 'lane')}, and another of them ends later.`,
        };
      return {
        title: `A hole before ${first}`,
        reason: `${capital(cells)} at column ${said.column}, row ${said.row} ${stay} empty: ${first} does not fit there.`,
      };
    case 'stray':
      return {
        title: `The last row is not full`,
        reason: `${capital(cells)} ${stay} empty after ${first}, the last tile.`,
      };
    case 'out of order':
      return {
        title: `${first} is seen before ${second}`,
        reason: `In reading order it comes after that tile, but it lies ${said.row === said.otherRow ? 'before it in the same row' : `in row ${said.row}, above row ${said.otherRow}`}.`,
      };
    case 'over-cropped':
      return {
        title: `${first} shows too little of its picture`,
        reason: `The slot is ${aspect(said)} : 1 and shows ${percent(said.shown)} of the picture.`,
      };
    case 'focus lost':
      return {
        title: `The subject of ${first} is cut off`,
        reason: `The slot is ${aspect(said)} : 1, and the focal point lies outside of what it shows.`,
      };
    case 'lock lost':
      return {
        title: `${first} does not stay where it is locked`,
        reason: `No mosaic of ${counted(Number(said.of), 'module')} across holds it at column ${said.column}, row ${said.row}, ${said.columns} × ${said.rows}.`,
      };
    case 'pin lost':
      return {
        title: `${first} is not held where it is pinned`,
        reason:
          Number(said.column) > Number(said.of)
            ? `Its pin is at column ${said.column}; here ${Number(said.of) === 1 ? 'is one column' : `are ${counted(Number(said.of), 'column')}`}. It flows.`
            : `Its pin is at column ${said.column}, row ${said.row}; there it would be seen out of order. It flows.`,
      };
    case 'faint':
      return {
        title: `The words of ${first} are faint`,
        reason: `Their contrast to what is behind them is ${Number(said.has).toFixed(1)} : 1; it needs ${said.need} : 1.`,
      };
    case 'soft':
      return {
        title: `${first} looks soft`,
        reason: `${whole(said.has)} px of picture over ${whole(said.need)} px of slot.`,
      };
    case 'no alternative text':
      return {
        title: `${first} has no alternative text`,
        reason: 'Screen readers have nothing to say of the picture.',
      };
  }
}
