import { shownTiles } from '../../document/bands.js';
import { frameCss, SLOT, stackCss } from '../shared/css.js';
import { tileSelector } from '../../engine/css/rule.js';
import { radiusCss } from '../../look/css.js';
import { RING } from '../../engine/css/ring.js';
import { px } from '../../engine/css/units.js';
import { lengthCss, timesCss } from '../../engine/css/writtenLength.js';
import { fanOf, openAtRest } from './values.js';
import { openerSelector, openEverywhere } from './openers.js';
import type { CssInput, LevelCss, BandRule } from '../kind.js';
import type { Arrangement } from '../../document/types.js';
import type { Declarations } from '../../engine/css/rule.js';

/** How large the open card is along the fan, and a strip. */
const OPEN = '--open';
const STRIP = '--strip';

const MOVES = '(prefers-reduced-motion: no-preference)';
const POINTS = '(hover: hover)';

/**
 * A fan in CSS: a track for each card, as large as its strip, or as the card where it is open. The
 * radio button of a card lies over it, and opens it for a tap and for the keyboard; pointing at it
 * or moving the focus into it does as well.
 */
export function fanToCss({ document, band, level, selector }: CssInput): LevelCss {
  const cards = fanOf(band.arrangement);
  const { axis, inlineSize, blockSize, strip } = cards;
  const isInline = axis === 'inline';
  const shown = shownTiles(document, band);
  const along = isInline ? 'column' : 'row';
  const template = (open: number) => tracks(shown.length, open);
  const last = radiusCss(shown.at(-1)?.tile.look.radius ?? document.look.radius);
  const tiles: Record<string, Declarations> = {};
  const own: BandRule[] = [
    { selector: `${selector} > .opens`, declarations: OPENER },
    { selector: `${selector} > .opens:checked`, declarations: { 'pointer-events': 'none' } },
    { selector: `${selector} > .opens:focus-visible`, declarations: RING },
    // What can be pressed in a card that pointing has opened is pressed, and not the card.
    {
      selector: `${selector} > .opens:hover:has(+ a, + * a, + * button, + * video)`,
      media: POINTS,
      declarations: { 'pointer-events': 'none' },
    },
    {
      selector,
      media: MOVES,
      declarations: { transition: `grid-template-${along}s 260ms cubic-bezier(0.3, 0.7, 0.2, 1)` },
    },
  ];
  const opened = (k: number, when: string, media?: string): BandRule => ({
    selector: `${selector}:has(${when})`,
    declarations: { [`grid-template-${along}s`]: template(k) },
    ...(media && { media }),
  });
  shown.forEach(({ tile, place }, k) => {
    const line = String(k + 1);
    tiles[tile.id] = {
      'grid-column': isInline ? line : '1',
      'grid-row': isInline ? '1' : line,
      'inline-size': isInline ? lengthCss(inlineSize) : '100%',
      'block-size': lengthCss(blockSize),
      ...SLOT,
      // A caption stays under the cards that cover its own.
      isolation: 'isolate',
      ...stackCss(document, tile, place),
    };
    own.push({
      selector: openerSelector(tile.id),
      declarations: {
        'grid-column': isInline ? line : '1',
        'grid-row': isInline ? '1' : line,
        'border-radius': radiusCss(tile.look.radius ?? document.look.radius),
      },
    });
  });
  // Bands that open cards of their own check none in the page; the one that lies open can be pressed.
  const rest = shown[openAtRest(cards, shown.length)]?.tile.id;
  if (rest !== undefined && openEverywhere(document) === null)
    own.push({
      selector: `${selector}:not(:has(> .opens:checked)) > ${openerSelector(rest)}`,
      declarations: { 'pointer-events': 'none' },
    });
  shown.forEach(({ tile: { id } }, k) => own.push(opened(k, `> :where(${openerSelector(id)}:checked)`)));
  shown.forEach(({ tile: { id } }, k) => own.push(opened(k, `> ${tileSelector(id)}:focus-within`)));
  shown.forEach(({ tile: { id } }, k) => {
    const either = `:is(${openerSelector(id)}, ${tileSelector(id)}):hover`;
    own.push(opened(k, `> ${either}`, POINTS));
  });
  return {
    grid: {
      display: 'grid',
      // Said apart, so that a narrower band says how large cards and strips are and no more.
      [OPEN]: lengthCss(isInline ? inlineSize : blockSize),
      [STRIP]: isInline ? `minmax(0, ${lengthCss(strip)})` : lengthCss(strip),
      'grid-template-columns': isInline ? template(openAtRest(cards, shown.length)) : 'minmax(0, 1fr)',
      'grid-template-rows': isInline ? 'none' : template(openAtRest(cards, shown.length)),
      'grid-template-areas': 'none',
      'grid-auto-rows': 'auto',
      'grid-auto-flow': 'row',
      'align-items': 'start',
      'justify-items': 'start',
      overflow: 'clip',
      'overflow-clip-margin': 'content-box',
      ...frameCss(band.arrangement),
      gap: '0',
      // A group has a ground of its own, which would be cut as well.
      ...(level === null && shown.length > 1 && { 'clip-path': roundCut(band.arrangement, last) }),
    },
    tiles,
    inBand: shown.length > 1 ? own : [],
  };
}

/** The edge of a fan at which its last card is cut, as round as the card. */
function roundCut(arrangement: Arrangement, radius: string): string {
  const { axis, blockSize } = fanOf(arrangement);
  const { blockStart, inlineEnd, blockEnd, inlineStart } = arrangement.padding;
  const [top, end, bottom, start] = [blockStart, inlineEnd, blockEnd, inlineStart].map((side) =>
    timesCss(1, side),
  );
  const rest =
    typeof blockStart === 'number' && typeof blockSize === 'number'
      ? px(blockStart + blockSize)
      : `(${top} + ${lengthCss(blockSize)})`;
  return axis === 'inline'
    ? `inset(${top} ${end} calc(100% - ${rest}) ${start} round 0 ${radius} ${radius} 0)`
    : `inset(${top} ${end} ${bottom} ${start} round 0 0 ${radius} ${radius})`;
}

const OPENER: Declarations = {
  display: 'block',
  'z-index': '1',
  'inline-size': '100%',
  'block-size': '100%',
  'justify-self': 'stretch',
  'align-self': 'stretch',
  appearance: 'none',
  border: '0',
  background: 'none',
  cursor: 'pointer',
};

/** A strip gives way where there is too little room; a card does not. */
function tracks(count: number, open: number): string {
  const thin = `var(${STRIP})`;
  const run = (length: number) => (length === 0 ? [] : [length === 1 ? thin : `repeat(${length}, ${thin})`]);
  return [...run(open), `var(${OPEN})`, ...run(count - open - 1)].join(' ');
}
