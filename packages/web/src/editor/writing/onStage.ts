import type { PartId, TileId } from '@noria/core';
import type { WordsPlace } from '../editorSlice';

/** The page that is drawn on the stage. */
export const stagePage = () => document.querySelector<HTMLElement>('main [data-stage-page]');

const wordsIn = (tile: TileId, part: string): readonly HTMLElement[] => [
  ...(stagePage()?.shadowRoot?.querySelectorAll<HTMLElement>(
    `[data-slot="${CSS.escape(tile)}"] [data-words${part}]`,
  ) ?? []),
];

/** The elements that words are drawn in: one for each paragraph or list. */
export const elementsOf = ({ tile, part }: WordsPlace) => wordsIn(tile, `="${CSS.escape(part)}"`);

/** The part of a tile whose words are drawn at a point of the window; null: none. */
export function wordsAt(tile: TileId, { x, y }: { readonly x: number; readonly y: number }): PartId | null {
  const found = wordsIn(tile, '').find((element) => {
    const { left, right, top, bottom } = element.getBoundingClientRect();
    return x >= left && x < right && y >= top && y < bottom;
  });
  return found?.dataset.words ?? null;
}

/** What of the drawn words the field over them looks like. */
const SAME = [
  'font-family',
  'font-size',
  'font-weight',
  'font-style',
  'font-stretch',
  'font-variation-settings',
  'font-feature-settings',
  'line-height',
  'letter-spacing',
  'word-spacing',
  'text-align',
  'text-transform',
  'text-wrap',
  'text-indent',
  'overflow-wrap',
  'color',
  'opacity',
  'direction',
  'writing-mode',
  'hyphens',
  'padding-top',
  'padding-right',
  'padding-bottom',
  'padding-left',
] as const;

/** What the element of an action is beside that: it spreads its words as a tile does. */
const SPREAD = ['display', 'flex-direction', 'justify-content', 'align-items'] as const;

/** Where words lie on the stage and what they look like, as a style in px of the page; null: they are not drawn. */
export function drawnWords(place: WordsPlace, scale: number): Readonly<Record<string, string>> | null {
  const page = stagePage()?.getBoundingClientRect();
  const elements = elementsOf(place);
  const [first] = elements;
  if (!page || !first) return null;
  const boxes = elements.map((element) => element.getBoundingClientRect());
  const left = Math.min(...boxes.map((box) => box.left));
  const top = Math.min(...boxes.map((box) => box.top));
  const px = (length: number) => `${length / scale}px`;
  // A list stands further in than the paragraphs beside it.
  const looks = getComputedStyle(elements.find((element) => element.tagName === 'P') ?? first);
  const isList = first.matches('ul, ol');
  return {
    left: px(left - page.left),
    top: px(top - page.top),
    // A little more, so that what just fits does.
    width: px(Math.max(...boxes.map((box) => box.right)) - left + 0.02),
    'min-height': px(Math.max(...boxes.map((box) => box.bottom)) - top),
    '--gap': getComputedStyle(first.parentElement ?? first).rowGap,
    ...Object.fromEntries(SAME.map((name) => [name, looks.getPropertyValue(name)])),
    ...(isList && { 'padding-left': '0px', 'padding-right': '0px' }),
    ...(first.tagName === 'A' &&
      Object.fromEntries(SPREAD.map((name) => [name, looks.getPropertyValue(name)]))),
  };
}
