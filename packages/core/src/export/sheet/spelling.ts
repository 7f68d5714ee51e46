import type { Declaration, SheetItem } from './sheet.js';

/** Rules as they are commonly spelt: custom properties first, shorthands where all of their parts are said, short colours. */
export const spelt = (items: readonly SheetItem[]): SheetItem[] =>
  items.map((item): SheetItem => {
    if (item.kind === 'verbatim') return item;
    if (item.kind === 'block') return { ...item, items: spelt(item.items) };
    const own = item.declarations.filter(([property]) => property.startsWith('--'));
    const rest = item.declarations.filter(([property]) => !property.startsWith('--'));
    const short = PAIRS.reduce(paired, templated(rest));
    return {
      ...item,
      declarations: [...own, ...short].map(([property, value]) => [property, shortColours(value)]),
    };
  });

/** Shorthands of what is said of both axes, the block axis first (CSS Box Alignment 3, section 8). */
const PAIRS = [
  ['place-items', 'align-items', 'justify-items'],
  ['place-self', 'align-self', 'justify-self'],
  ['place-content', 'align-content', 'justify-content'],
] as const;

function paired(
  declarations: readonly Declaration[],
  [shorthand, block, inline]: (typeof PAIRS)[number],
): readonly Declaration[] {
  const of = (name: string) => declarations.find(([property]) => property === name)?.[1];
  const [first, second] = [of(block), of(inline)];
  if (first === undefined || second === undefined) return declarations;
  return withShorthand(
    declarations,
    [block, inline],
    [shorthand, first === second ? first : `${first} ${second}`],
  );
}

/** Rows, columns and areas in one (CSS Grid 2, section 7.4): each row of the map with its size, where that is not `auto`. */
function templated(declarations: readonly Declaration[]): readonly Declaration[] {
  const of = (name: string) => declarations.find(([property]) => property === `grid-template-${name}`)?.[1];
  const [rows, columns, areas] = [of('rows'), of('columns'), of('areas')];
  if (rows === undefined || columns === undefined || areas === undefined) return declarations;
  const map = areas.match(/"[^"]*"/g) ?? [];
  const [sizes, tracks] = [tracksOf(rows), tracksOf(columns)];
  if (map.length === 0 || sizes?.length !== map.length || tracks === null) return declarations;
  const lines = map.map((row, k) => (sizes[k] === 'auto' ? row : `${row} ${sizes[k]}`));
  return withShorthand(
    declarations,
    ['grid-template-rows', 'grid-template-columns', 'grid-template-areas'],
    ['grid-template', `${lines.join(' ')} / ${tracks.join(' ')}`],
  );
}

/** A list of tracks, one by one; null where it can't be said so. */
function tracksOf(list: string): string[] | null {
  const tracks: string[] = [];
  for (const [, times, repeated, plain] of list.matchAll(
    /repeat\((\d+), ((?:[^()]|\([^()]*\))*)\)|((?:[^\s()]|\((?:[^()]|\([^()]*\))*\))+)/g,
  )) {
    if (plain !== undefined && /^(none|subgrid|repeat\()/.test(plain)) return null;
    const each = plain === undefined ? tracksOf(repeated ?? '') : [plain];
    if (each === null) return null;
    for (let k = 0; k < Number(times ?? 1); k++) tracks.push(...each);
  }
  return tracks;
}

/** A shorthand in the place of the first of its parts. */
function withShorthand(
  declarations: readonly Declaration[],
  parts: readonly string[],
  shorthand: Declaration,
): readonly Declaration[] {
  const at = declarations.findIndex(([property]) => parts.includes(property));
  return declarations.flatMap((each, k) => (k === at ? [shorthand] : parts.includes(each[0]) ? [] : [each]));
}

/** Colours of six digits in three where these are the same; addresses stay as they are. */
const shortColours = (value: string): string =>
  value.replace(
    /url\([^)]*\)|"[^"]*"|#([\da-f])\1([\da-f])\2([\da-f])\3(?![\da-f])/gi,
    (text, r?: string, g = '', b = '') => (r === undefined ? text : `#${r}${g}${b}`),
  );
