import { LIMITS } from '../../document/limits.js';
import { arrangementKinds } from '../../arrangements/index.js';
import { readAreas } from './readAreas.js';
import { readRows, ROWS_LIKE } from './readRows.js';
import { titleOf, type TileStart } from '../../parts/newTile.js';
import { compositions } from '../../parts/compositions/index.js';
import { aWidth, inBounds, withinBounds, writtenIn } from './bounds.js';
import { readValues, VALUE } from './readValues.js';
import type { Span } from '../packing/fillCells.js';
import type { Design, DesignBelow, DesignCard, DesignFit, DesignGrid, DesignKind } from './design.js';

const BY = String.raw`\s*[×x*]\s*`;
const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const COUNTED = new RegExp(`^(\\d+)(?:${BY}|\\s+(?:cards\\s+)?of\\s+)(\\d+)\\s*(?:of|in|/)\\s*(\\d+)$`, 'i');
const BELOW = /^(\d+)\s+below\s+(\d+)(?:\s*px)?$/i;
const STACKED = /^stacked\s+below\s+(\d+)(?:\s*px)?$/i;
const FIT = new RegExp(`^(?:(\\d+)(?:${BY}|\\s+(?:cards\\s+)?of\\s+))?${NUMBER}\\s*px$`, 'i');
const AT = new RegExp(`^(\\d+)(?:\\s+columns?)?\\s+at\\s+${NUMBER}(?:\\s*px)?$`, 'i');
const ACROSS = new RegExp(
  `^(\\d+)(?:\\s+cards?)?\\s+of\\s+${NUMBER}(?:\\s*px)?${BY}${NUMBER}(?:\\s*px)?\\s+across\\s+${NUMBER}(?:\\s*px)?$`,
  'i',
);
const OF_LENGTH = new RegExp(`^(?:(\\d+)(?:${BY}|\\s+(?:cards\\s+)?of\\s+))?(.+)$`, 'i');
const SIZED = new RegExp(`^(\\d+)${BY}(\\d+)(?:\\s*:\\s*|\\s+with\\s+|$)`, 'i');
const SPAN = new RegExp(`^(\\d+)${BY}(\\d+)(?:\\s+([a-z]+))?(?:\\s*\\((.*)\\))?$`, 'is');
const CARDS = /^(\d+)\s+(?:cards?|tiles?)$/i;
const PICTURES = /^(?:(\d+)\s+)?pictures$/i;
/** What a tile can be, by the word for it. */
const STARTS: readonly TileStart[] = [...compositions().map(({ name }) => name), 'group'];

const OTHERS =
  'Or a grid and its spans: “5 × 2: 2×2, 1×1”; cards of columns: “9 × 4 of 12”; columns that fit: “80 × 180px”';

/**
 * A grid said in words: rows of cards, cards of a span, or columns that fit, and values beside them.
 * @throws RangeError when something of it can't be read or is out of bounds; it says what to write
 */
export function readDesign(text: string): Design {
  const parts = partsOf(text);
  const said = parts.filter((part) => ![VALUE, CARDS, PICTURES, STACKED].some((other) => other.test(part)));
  const values = readValues(parts.filter((part) => VALUE.test(part)));
  const asked = parts.flatMap((part) => (CARDS.exec(part) ?? PICTURES.exec(part))?.[1] ?? []).map(Number);
  asked.forEach((cards) => inBounds(cards, LIMITS.tiles, 'cards'));
  if (parts.length === 0) throw new RangeError(`${ROWS_LIKE}. ${OTHERS}.`);
  const read = said.length === 0 ? NOTHING : readCards(said);
  const fits = read.fit !== null || Boolean(read.kind?.columns && 'min' in read.kind.columns);
  if ((values.atMost !== undefined && !fits) || (values.spansFrom !== undefined && !read.fit))
    throw new RangeError('“at most” and “spans from” are said of columns that fit: “80 × 180px, at most 5”.');
  return {
    ...read,
    cards: Math.max(read.cards, ...asked),
    what: parts.some((part) => PICTURES.test(part)) ? 'picture' : null,
    narrower: fromWide([...read.narrower, ...readStacked(parts, read.grid)]),
    values: { ...read.values, ...values },
  };
}

/** Whether a design says something that a group can’t: of other widths than the band’s own, or of the page. */
export const saysOfAll = ({ narrower, values }: Design): boolean =>
  narrower.length > 0 || values.breakpoints !== undefined || values.background !== undefined;

/** Parts stand between commas, semicolons, line ends or “then”; what is in brackets is one. */
function partsOf(text: string): string[] {
  const parts: string[] = [''];
  let depth = 0;
  for (const piece of text.split(/([(),;\n]|\bthen\b)/i)) {
    if (piece === '(') depth++;
    if (piece === ')') depth--;
    if (depth <= 0 && /^(?:[,;\n]|then)$/i.test(piece)) parts.push('');
    else parts.push(`${parts.pop() ?? ''}${piece}`);
  }
  return parts.map((part) => part.trim()).filter(Boolean);
}

const NOTHING: Design = {
  grid: null,
  fit: null,
  areas: null,
  kind: null,
  cards: 0,
  what: null,
  narrower: [],
  values: {},
};

/** What is said of cards, with the values that follow from it. */
function readCards(parts: readonly string[]): Design {
  const [first = '', ...others] = parts;
  const kind = readKind(first);
  if (kind) {
    const [wrong] = others;
    if (wrong !== undefined)
      throw new RangeError(`“${wrong}” can’t stand beside “${first}”. Say how many tiles: “12 cards”.`);
    return { ...NOTHING, kind };
  }
  const areas = readAreas(first);
  if (areas) {
    const [wrong] = others;
    if (wrong !== undefined)
      throw new RangeError(
        `“${wrong}” can’t stand beside areas. Rows of areas stand between strokes: “areas a a / b c”.`,
      );
    return { ...NOTHING, areas };
  }
  const across = readAcross(first);
  if (across) {
    const [wrong] = others;
    if (wrong !== undefined) throw new RangeError(`“${wrong}” can’t stand beside cards of one size.`);
    return across;
  }
  const counted = COUNTED.exec(first);
  if (counted) {
    const [cards = 0, columnSpan = 1, columns = 1] = counted.slice(1).map(Number);
    inBounds(columns, LIMITS.columns, 'columns');
    if (columnSpan < 1 || columnSpan > columns)
      throw new RangeError(`A card of ${columnSpan} columns does not fit into ${columns}.`);
    const narrower = others.map((part) => readBelow(part, columns));
    return {
      ...listed(repeated(cards, { columns: columnSpan, rows: 1 }), columns),
      narrower: fromWide(narrower),
    };
  }
  const fit = readFit(first);
  if (fit) {
    const [wrong] = others;
    if (wrong !== undefined) throw new RangeError(`“${wrong}” can’t stand beside columns that fit.`);
    return { ...NOTHING, ...fit };
  }
  const sized = SIZED.exec(first);
  if (sized) {
    const [columns = 1, rows = 1] = sized.slice(1).map(Number);
    inBounds(columns, LIMITS.columns, 'columns');
    inBounds(rows, LIMITS.rows, 'rows');
    const rest = first.slice(sized[0].length);
    const cards = [...(rest === '' ? [] : [rest]), ...others].map(readCard);
    const spans = cards.map(({ span }) => span);
    const wide = spans.find((span) => span.columns > columns);
    if (wide) throw new RangeError(`A card of ${wide.columns} columns does not fit into ${columns}.`);
    const { grid, ...made } = listed(spans, columns, rows);
    return { ...made, grid: grid && { ...grid, cards } };
  }
  const grid = readRows(parts);
  return { ...NOTHING, grid, cards: grid.spans.length };
}

/** A grid of so many columns; without so many rows there are as many as the cards take. */
function listed(spans: readonly Span[], columns: number, rows = 0): Design {
  const cut = Array.from({ length: rows }, () => false);
  const taken = Math.ceil(spans.reduce((sum, span) => sum + span.columns * span.rows, 0) / columns);
  const grid: DesignGrid = { columns, rows: rows || taken, cut, spans };
  return { ...NOTHING, grid, cards: spans.length };
}

/** A kind by its name, and its columns: “of 4”, or of a least width. Null: no kind is named. */
function readKind(part: string): DesignKind | null {
  const [, word = '', rest = ''] = /^([a-z]+)\b\s*(.*)$/i.exec(part) ?? [];
  const kind = arrangementKinds().find(({ name, isSaid }) => isSaid && name === word.toLowerCase());
  if (!kind) return null;
  const { name } = kind;
  if (rest === '') return { name, columns: null };
  const of = rest.replace(/^(?:of|in)\s+/i, '');
  if (/^\d+(?:\s+columns?)?$/i.test(of)) {
    const count = parseInt(of, 10);
    inBounds(count, LIMITS.columns, 'columns');
    return { name, columns: { count } };
  }
  const fit = readFit(of);
  if (!fit || !('min' in fit.fit) || fit.cards > 0)
    throw new RangeError(`“${part}”: write “${name} of 4”, or “${name} of 240px” for as many as fit.`);
  return { name, columns: { min: fit.fit.min } };
}

/** So many cards of one size in px across a width: what is left of it is shared between them. */
function readAcross(part: string): Design | null {
  const [cards = 0, inlineSize = 0, blockSize = 0, across = 0] = (ACROSS.exec(part) ?? [])
    .slice(1)
    .map(Number);
  if (cards === 0) return null;
  inBounds(cards, LIMITS.columns, 'cards');
  inBounds(blockSize, LIMITS.height, 'px');
  const width = aWidth(across);
  const left = width - cards * inlineSize;
  if (left < 0)
    throw new RangeError(
      `${cards} cards of ${inlineSize} px take ${cards * inlineSize} px, more than ${width}. Write fewer, or a wider page.`,
    );
  const gap = cards > 1 ? Math.round((left / (cards - 1)) * 100) / 100 : 0;
  inBounds(gap, LIMITS.gap, 'px between them', 0);
  return {
    ...listed(repeated(cards, { columns: 1, rows: 1 }), cards),
    values: { gap, padding: 0, width, rowSize: blockSize },
  };
}

function repeated(count: number, span: Span): Span[] {
  inBounds(count, LIMITS.tiles, 'cards');
  return Array.from({ length: count }, () => span);
}

/** How many columns and rows a card takes, and what it is: “2×1”, “2×1 quote”, “3×2 group (31 × 1 of 7)”. */
function readCard(part: string): DesignCard & { readonly span: Span } {
  const [, across = '0', down = '0', word, within] = SPAN.exec(part) ?? [];
  const [columns, rows] = [Number(across), Number(down)];
  if (columns < 1 || rows < 1)
    throw new RangeError(`“${part}” is no span. Write how many columns and rows each card takes: “2×1”.`);
  inBounds(rows, LIMITS.span, 'rows');
  const kind =
    word === undefined ? null : STARTS.find((each) => titleOf(each).toLowerCase() === word.toLowerCase());
  if (kind === undefined)
    throw new RangeError(
      `“${word}” is no kind of tile. Write one of ${STARTS.map((each) => titleOf(each).toLowerCase()).join(', ')}: “2×1 quote”.`,
    );
  if (within === undefined) return { span: { columns, rows }, kind, inside: null };
  if (kind !== 'group')
    throw new RangeError(
      `“${part}”: only a group holds a grid. Write “${columns}×${rows} group (${within})”.`,
    );
  const inside = readDesign(within);
  if (saysOfAll(inside))
    throw new RangeError(
      `“${within}”: breakpoints and the background are those of the whole collection. Say them outside of the brackets.`,
    );
  return { span: { columns, rows }, kind, inside };
}

function readBelow(part: string, columns: number): DesignBelow {
  const [columnSpan = 0, below = 0] = (BELOW.exec(part) ?? []).slice(1).map(Number);
  if (columnSpan < 1 || columnSpan > columns)
    throw new RangeError(`“${part}” is no span for narrower widths. Write “6 below 900”, up to ${columns}.`);
  return { columnSpan, below: aWidth(below) };
}

/** Below which widths each card takes all columns. */
function readStacked(parts: readonly string[], grid: DesignGrid | null): DesignBelow[] {
  const widths = parts.flatMap((part) => STACKED.exec(part)?.[1] ?? []).map(Number);
  if (widths.length > 0 && !grid)
    throw new RangeError('“stacked below” is said of rows of cards: “3:2, 1:3, stacked below 400”.');
  return widths.map((below) => ({ below: aWidth(below), columnSpan: grid?.columns ?? 1 }));
}

function readFit(part: string): { readonly fit: DesignFit; readonly cards: number } | null {
  const least = FIT.exec(part);
  if (least) {
    const cards = Number(least[1] ?? 0);
    const min = Number(least[2]);
    if (cards > 0) inBounds(cards, LIMITS.tiles, 'cards');
    inBounds(min, LIMITS.widest, 'px');
    return { fit: { min }, cards };
  }
  const [, of = '0', written = ''] = OF_LENGTH.exec(part) ?? [];
  const length = writtenIn(written);
  if (length !== null) {
    if (Number(of) > 0) inBounds(Number(of), LIMITS.tiles, 'cards');
    withinBounds(length, part, 1, LIMITS.widest);
    return { fit: { min: length }, cards: Number(of) };
  }
  const at = AT.exec(part);
  if (!at) return null;
  const [columns = 1, width = 0] = at.slice(1).map(Number);
  inBounds(columns, LIMITS.columns, 'columns');
  return { fit: { columns, at: aWidth(width) }, cards: 0 };
}

const fromWide = (narrower: readonly DesignBelow[]) => [...narrower].sort((a, b) => b.below - a.below);
