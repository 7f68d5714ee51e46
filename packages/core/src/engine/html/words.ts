import { paragraph } from '../text/paragraph.js';
import { INITIAL_STYLE } from '../box/style.js';
import type { Box, InlineContent } from '../box/box.js';
import type { TextMeasurer, TextRun } from '../text/types.js';
import type { InheritedStyle } from './inheritedStyle.js';

/** Words or boxes that came out of an element's children, in order. */
export type Part = { readonly run: TextRun } | { readonly box: Box };

interface Content {
  readonly children: Box[];
  readonly text: InlineContent | null;
}

/**
 * What is in an element: words alone, or boxes, with anonymous ones around the words between them
 * (CSS Display 3, section 2.1).
 * @param isFlow whether words alone need no box of their own
 */
export function contentOf(
  parts: readonly Part[],
  isFlow: boolean,
  inherited: InheritedStyle,
  measurer: TextMeasurer,
): Content {
  const wrapped: Box[] = [];
  let runs: TextRun[] = [];
  const close = () => {
    const text = textOf(runs, inherited, measurer);
    runs = [];
    if (!text) return;
    const anonymous = { ...INITIAL_STYLE, direction: inherited.direction };
    wrapped.push({ id: null, isGridRoot: false, style: anonymous, children: [], text, natural: null });
  };
  for (const part of parts) {
    if ('run' in part) runs.push(part.run);
    else {
      close();
      wrapped.push(part.box);
    }
  }
  if (isFlow && wrapped.length === 0 && !parts.some((part) => 'box' in part))
    return { children: [], text: textOf(runs, inherited, measurer) };
  close();
  return { children: wrapped, text: null };
}

type Collapses = 'all' | 'spaces' | 'none';

/** What `white-space` collapses, where that is not all (CSS Text 3, section 3). */
const COLLAPSES: Readonly<Record<string, Collapses>> = {
  pre: 'none',
  'pre-wrap': 'none',
  'break-spaces': 'none',
  'pre-line': 'spaces',
};

const OPPOSITE = { start: 'end', center: 'center', end: 'start' } as const;

function textOf(
  runs: readonly TextRun[],
  inherited: InheritedStyle,
  measurer: TextMeasurer,
): InlineContent | null {
  const { wraps, whiteSpace, overflowWrap, wordBreak, balances, direction, textAlign } = inherited;
  const collapses = COLLAPSES[whiteSpace] ?? 'all';
  if (collapses !== 'none' && runs.every(({ text }) => /^[ \t\n\r\f]*$/.test(text))) return null;
  return paragraph(
    runs,
    {
      wraps,
      collapses,
      overflowWrap: overflowWrap === 'anywhere' || overflowWrap === 'break-word' ? overflowWrap : 'normal',
      balances,
      align: direction === 'rtl' ? OPPOSITE[textAlign] : textAlign,
      wordBreak: wordBreak === 'break-all' || wordBreak === 'keep-all' ? wordBreak : 'normal',
    },
    measurer,
  );
}

/** Text in the type that its element has. */
export function runOf(text: string, style: InheritedStyle): TextRun {
  const { lineHeight, fontSize } = style;
  return {
    text,
    font: {
      families: style.families,
      size: fontSize,
      weight: style.weight,
      italic: style.italic,
      features: style.features,
      axes: style.axes,
    },
    lineHeight:
      lineHeight === null ? null : 'factor' in lineHeight ? lineHeight.factor * fontSize : lineHeight.px,
    letterSpacing: style.letterSpacing,
  };
}
