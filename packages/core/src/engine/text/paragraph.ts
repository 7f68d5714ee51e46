// The interface compiles this file from its source, and has to find the types with it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./linebreak.d.ts" />
import LineBreaker from 'linebreak';
import type { InlineContent, Line } from '../box/box.js';
import type { ParagraphStyle, TextMeasurer, TextRun } from './types.js';

/** A piece of text that no line breaks in: from one break opportunity to the next. */
interface Piece {
  /** Without the spaces at its end, px. */
  readonly width: number;
  /** The spaces at its end, which hang when a line ends here, px. */
  readonly space: number;
  /** What a hyphen adds when a line ends here, at a soft hyphen; px. */
  readonly hyphen: number;
  /** A line must end after it. */
  readonly forced: boolean;
  readonly ascent: number;
  readonly descent: number;
  /** Its parts where it may be cut in an emergency, px each. */
  readonly cuts: () => readonly number[];
}

const SOFT_HYPHEN = '\u00ad';
/** Browsers measure in 64ths of a px. */
const SLACK = 1 / 64;

/** A text with its pieces measured: breaking it at another width is arithmetic. */
export interface Paragraph extends InlineContent {
  /** Number of lines at an available width. */
  readonly linesAt: (inlineSize: number) => number;
}

/**
 * Measures a paragraph once.
 * @throws whatever the measurer throws
 */
export function paragraph(
  runs: readonly TextRun[],
  style: ParagraphStyle,
  measurer: TextMeasurer,
): Paragraph {
  const collapsed = collapseSpaces(runs, style);
  const pieces = measurePieces(collapsed, style, measurer);
  const first = collapsed[0] ?? runs[0];
  const strut = first ? lineEdges(first, measurer) : { ascent: 0, descent: 0 };
  let longestPiece = 0;
  let longestLine = 0;
  let line = 0;
  for (const piece of pieces) {
    const least =
      style.overflowWrap === 'anywhere' || style.wordBreak === 'break-all'
        ? Math.max(0, ...piece.cuts())
        : piece.width + piece.hyphen;
    longestPiece = Math.max(longestPiece, least);
    longestLine = Math.max(longestLine, line + piece.width);
    line = piece.forced ? 0 : line + piece.width + piece.space;
  }
  const lines = (inlineSize: number) => breakLines(pieces, inlineSize, style, strut);
  return {
    minContent: style.wraps ? longestPiece : longestLine,
    maxContent: longestLine,
    linesAt: (inlineSize) => lines(inlineSize).count,
    blockSizeAt: (inlineSize) => lines(inlineSize).blockSize,
    linesIn: (inlineSize) => {
      const all: Omit<Line, 'x' | 'above' | 'letters'>[] = [];
      const letters = first ? lettersOf(first, measurer) : { above: 0, letters: 0 };
      const room = style.balances ? balancedSize(lines, inlineSize) : inlineSize;
      breakLines(pieces, room, style, strut, (line) => all.push(line));
      const share = style.align === 'end' ? 1 : style.align === 'center' ? 0.5 : 0;
      return all.map((each) => ({ ...each, ...letters, x: share * (inlineSize - each.inlineSize) }));
    },
  };
}

/** The least width at which there are no more lines than at this one, to a px. */
function balancedSize(lines: (inlineSize: number) => { readonly count: number }, inlineSize: number): number {
  const { count } = lines(inlineSize);
  if (count < 2) return inlineSize;
  let [less, enough] = [inlineSize / count / 2, inlineSize];
  while (enough - less > 1) {
    const middle = (less + enough) / 2;
    if (lines(middle).count > count) less = middle;
    else enough = middle;
  }
  return enough;
}

interface Edges {
  readonly ascent: number;
  readonly descent: number;
}

/** How far a run reaches above and below the baseline, half of the leading on either side (CSS Inline 3, 4.2). */
function lineEdges(run: TextRun, measurer: TextMeasurer): Edges {
  const { ascent, descent, lineGap } = measurer.metrics(run.font);
  const up = Math.round(ascent);
  const down = Math.round(descent);
  if (run.lineHeight === null) return { ascent: up + lineGap / 2, descent: down + lineGap / 2 };
  const lineHeight = Math.floor(run.lineHeight * 64) / 64;
  const half = (lineHeight - (up + down)) / 2;
  return { ascent: up + half, descent: lineHeight - up - half };
}

/** Where the letters of a run are in its line: browsers begin them at a whole px. */
function lettersOf(run: TextRun, measurer: TextMeasurer): Pick<Line, 'above' | 'letters'> {
  const { ascent, descent } = measurer.metrics(run.font);
  const up = Math.round(ascent);
  return { above: Math.floor(lineEdges(run, measurer).ascent - up), letters: up + Math.round(descent) };
}

/** White space as CSS Text 4, section 4.1 collapses it: runs of it become one space, none at a line's start. */
function collapseSpaces(runs: readonly TextRun[], { collapses }: ParagraphStyle): TextRun[] {
  if (collapses === 'none') return runs.map((run) => ({ ...run, text: run.text.replace(/\r\n?/g, '\n') }));
  let afterSpace = true;
  const out = runs.map((run) => {
    let text = run.text.replace(/\r\n?/g, '\n');
    text =
      collapses === 'spaces'
        ? text.replace(/[ \t]*\n[ \t]*/g, '\n').replace(/[ \t]+/g, ' ')
        : text.replace(/[ \t\n\f]+/g, ' ');
    if (afterSpace && text.startsWith(' ')) text = text.slice(1);
    if (text !== '') afterSpace = /[ \n\u2028]$/.test(text);
    return { ...run, text: text.replace(/[ ]?\u2028[ ]?/g, '\u2028') };
  });
  for (let k = out.length - 1; k >= 0; k--) {
    const run = out[k] as TextRun;
    if (run.text === '') continue;
    out[k] = { ...run, text: run.text.replace(/ $/, '') };
    break;
  }
  return out.filter(({ text }) => text !== '');
}

function measurePieces(runs: readonly TextRun[], style: ParagraphStyle, measurer: TextMeasurer): Piece[] {
  const text = runs.map((run) => run.text).join('');
  if (text === '') return [];
  const pieces: Piece[] = [];
  let from = 0;
  for (const { position, required } of breaks(text, style)) {
    pieces.push(measurePiece(runs, text.slice(from, position), from, required, measurer));
    from = position;
  }
  return pieces;
}

function breaks(
  text: string,
  { wraps, wordBreak }: ParagraphStyle,
): { position: number; required: boolean }[] {
  const found: { position: number; required: boolean }[] = [];
  const breaker = new LineBreaker(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    const forced = (next.required ?? false) && /[\n\u2028]/.test(text[next.position - 1] ?? '');
    if (!wraps && !forced && next.position < text.length) continue;
    // Browsers keep what a slash joins together, `km/h`, where Unicode would allow a break.
    const [last = '', following = ''] = [text[next.position - 1], text[next.position]];
    if (!forced && last === '/' && /[\p{L}\p{N}]/u.test(following)) continue;
    if (wordBreak === 'keep-all' && !forced && following !== '' && !/[\s\u00ad-]/.test(last)) continue;
    found.push({ position: next.position, required: forced });
  }
  return found;
}

function measurePiece(
  runs: readonly TextRun[],
  raw: string,
  offset: number,
  forced: boolean,
  measurer: TextMeasurer,
): Piece {
  const text = raw.replace(/[\n\u2028]$/, '');
  const trimmed = text.replace(/ +$/, '');
  const parts = partsOf(runs, trimmed, offset);
  const width = parts.reduce((sum, part) => sum + widthOf(part.run, part.text, measurer), 0);
  const spaces = partsOf(runs, text.slice(trimmed.length), offset + trimmed.length);
  const last = parts.at(-1)?.run ?? spaces.at(-1)?.run ?? runs[0];
  let ascent = -Infinity;
  let descent = -Infinity;
  for (const { run } of [...parts, ...spaces]) {
    const edges = lineEdges(run, measurer);
    ascent = Math.max(ascent, edges.ascent);
    descent = Math.max(descent, edges.descent);
  }
  let cuts: number[] | null = null;
  return {
    width,
    space: spaces.reduce((sum, part) => sum + widthOf(part.run, part.text, measurer), 0),
    hyphen: trimmed.endsWith(SOFT_HYPHEN) && last ? widthOf(last, '\u2010', measurer) : 0,
    forced,
    ascent,
    descent,
    cuts: () => (cuts ??= parts.flatMap(({ run, text: part }) => advances(run, part, measurer))),
  };
}

const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });
const graphemes = (text: string) => [...segmenter.segment(text)].map(({ segment }) => segment);

/** What each grapheme adds to the width of those before it, so that kerning counts. */
function advances(run: TextRun, text: string, measurer: TextMeasurer): number[] {
  let before = '';
  let width = 0;
  return graphemes(text).map((each) => {
    before += each;
    const next = widthOf(run, before, measurer);
    const advance = next - width;
    width = next;
    return advance;
  });
}

/** The runs that a stretch of the text lies in. */
function partsOf(runs: readonly TextRun[], text: string, offset: number): { run: TextRun; text: string }[] {
  const parts: { run: TextRun; text: string }[] = [];
  let at = 0;
  for (const run of runs) {
    const from = Math.max(offset, at);
    const to = Math.min(offset + text.length, at + run.text.length);
    if (to > from) parts.push({ run, text: text.slice(from - offset, to - offset) });
    at += run.text.length;
  }
  return parts;
}

function widthOf({ font, letterSpacing }: TextRun, text: string, measurer: TextMeasurer): number {
  const shown = text.replaceAll(SOFT_HYPHEN, '').replaceAll('\u200b', '');
  if (shown === '') return 0;
  const spacing = letterSpacing === 0 ? 0 : letterSpacing * graphemes(shown).length;
  return measurer.width(shown, font) + spacing;
}

/** Fills lines one after the other, each as full as it gets. */
function breakLines(
  pieces: readonly Piece[],
  inlineSize: number,
  style: ParagraphStyle,
  strut: Edges,
  onLine?: (line: Omit<Line, 'x' | 'above' | 'letters'>) => void,
): { count: number; blockSize: number } {
  const room = inlineSize + SLACK;
  let count = 0;
  let blockSize = 0;
  let used = 0;
  let inked = 0;
  let empty = true;
  let { ascent, descent } = strut;
  const close = () => {
    count++;
    blockSize += ascent + descent;
    onLine?.({ inlineSize: inked, blockSize: ascent + descent });
    used = 0;
    inked = 0;
    empty = true;
    ({ ascent, descent } = strut);
  };
  for (const piece of pieces) {
    const fits = used + piece.width + piece.hyphen <= room;
    if (!empty && !fits && style.wraps && style.wordBreak !== 'break-all') close();
    ascent = Math.max(ascent, piece.ascent);
    descent = Math.max(descent, piece.descent);
    const mayCut = style.wraps && (style.overflowWrap !== 'normal' || style.wordBreak === 'break-all');
    if (mayCut && used + piece.width > room) {
      for (const cut of piece.cuts()) {
        if (used + cut > room && !empty) {
          close();
          ascent = Math.max(ascent, piece.ascent);
          descent = Math.max(descent, piece.descent);
        }
        used += cut;
        inked = used;
        empty = false;
      }
      used += piece.space;
    } else {
      inked = used + piece.width;
      used += piece.width + piece.space;
    }
    empty = false;
    if (piece.forced) close();
  }
  if (!empty) close();
  return { count, blockSize };
}
