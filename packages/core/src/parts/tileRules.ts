import { colourCss, fadeCss, measureCss, radiusCss, shadowsCss, sidesCss, typeSizeCss } from '../look/css.js';
import { BADGE_INSET } from './badge.js';
import { behindSelector } from './behind.js';
import { behindWords, textColourOf } from '../look/textColour.js';
import { behindCss, groundCss, overBehindCss, ringCss, type Drawn } from '../look/groundCss.js';
import { behindIn } from '../look/paints.js';
import type { Known } from '../look/painted.js';
import { LARGE } from './contentCss.js';
import { familyCss } from './families.js';
import { mergedRules, ruleCss, tileSelector, type Rule } from '../engine/css/rule.js';
import { compositionOf, isApart, isBare } from './compositions/index.js';
import { shownCard } from '../document/card.js';
import { partKindOf } from './index.js';
import { SPREAD } from './shared/flow.js';
import { linesOf } from './shared/inCard.js';
import { axesCss, featuresCss } from '../document/font.js';
import { px } from '../engine/css/units.js';
import { whileSame } from '../memo.js';
import type { Declarations } from '../engine/css/rule.js';
import type { Alignment, TileLook } from '../document/look.js';
import type { Badge, Card, Tile } from '../document/types.js';
import type { PictureImage } from './part.js';

/** What a tile has of its own: its look, the crop of its picture and its badges. */
export function tileRules(document: Known, tile: Tile, image: PictureImage): Rule[] {
  return mergedRules([
    ...ownRules(document, tile, image),
    ...(tile.badges ?? []).map((badge, k) => badgeRule(tile, badge, k)),
  ]);
}

const remembered = whileSame<Tile, string>();

/** The same as text, for the stage. A tile that stays as it is keeps its text. */
export const tileCss = (document: Known, tile: Tile, image: PictureImage): string =>
  remembered(tile, [document.pictures, document.namedLooks, ...behindWords(document, tile), image], () =>
    tileRules(document, tile, image).map(ruleCss).join('\n'),
  );

const ALIGN: Readonly<Record<Alignment, string>> = {
  start: 'flex-start',
  center: 'center',
  end: 'flex-end',
  stretch: 'stretch',
};

function ownRules(document: Known, whole: Tile, image: PictureImage): Rule[] {
  const tile = whole.kind === 'card' ? shownCard(whole) : whole;
  const { look } = tile;
  const at = tileSelector(tile.id);
  const drawn: Drawn = {
    namedLooks: document.namedLooks,
    image: (id) => {
      const picture = document.pictures[id];
      return picture ? image(picture, tile) : null;
    },
  };
  const around = ringCss(look, document.namedLooks);
  const behind = behindIn(look.fill);
  const over = overBehindCss(look, drawn);
  const ring = [
    ...(around ? [{ selector: `${at}::before`, declarations: around }] : []),
    ...(behind ? [{ selector: `${at} > ${behindSelector(behind)}`, declarations: behindCss(behind) }] : []),
    ...(over ? [{ selector: `${at}::after`, declarations: over }] : []),
  ];
  const frame: Declarations = {
    ...groundCss(look, drawn),
    ...((around ?? behind) && { position: 'relative' }),
    // What lies behind the contents stays over what is behind the tile.
    ...(behind && { isolation: 'isolate' }),
    ...(look.radius !== undefined && { 'border-radius': radiusCss(look.radius) }),
    ...(look.padding !== undefined && {
      padding: typeof look.padding === 'object' ? sidesCss(look.padding) : measureCss(look.padding),
    }),
    ...shadowsCss(look),
    ...fadeCss(look.fade),
  };
  const textColour = {
    color: look.textColour === 'auto' ? textColourOf(document, tile) : colourCss(look.textColour),
  };
  if (tile.kind === 'group') {
    // The tracks of a group keep its padding and gaps.
    const { padding: _, ...rest } = frame;
    return [{ selector: at, declarations: { ...rest, ...textColour } }, ...ring];
  }
  const composition = compositionOf(tile);
  const own = composition.rules?.(tile, { known: document, tile, image, at }) ?? [];
  if (!composition.flows)
    return [
      { selector: at, declarations: { ...frame, ...(composition.takesTextColour && textColour) } },
      ...own,
      ...(isBare(tile) ? [] : ring),
    ];
  return [
    { selector: at, declarations: { ...frame, ...textColour, ...flowCss(look), ...typeCss(look, 'body') } },
    { selector: largeIn(composition.isLink ? null : tile, at), declarations: typeCss(look, 'heading') },
    ...own,
    ...ring,
    ...(isApart(tile) ? partRules(document, tile, image) : []),
  ];
}

/** The large type in a card: the card itself where it is none, what is in it, and in lines in it. */
function largeIn(card: Card | null, at: string): string {
  if (!card) return at;
  const inCard = `${at} > ${LARGE}`;
  return linesOf(card.parts).some(({ length }) => length > 1)
    ? `${inCard},\n${at} > .row > ${LARGE}`
    : inCard;
}

/** The rules of parts that are found by their ids. */
const partRules = (document: Known, tile: Card, image: PictureImage): Rule[] =>
  linesOf(tile.parts).flatMap((line) =>
    line.flatMap((part) => {
      const at = `${tileSelector(tile.id)} [data-part="${part.id}"]`;
      const own = partKindOf(part).rules?.(part, { known: document, tile, image, at }) ?? [];
      const isDown = line.length === 1 && tile.look.direction !== 'row';
      return part.align === undefined
        ? own
        : [...own, { selector: at, declarations: alignCss(part.align, isDown) }];
    }),
  );

/** Where a part lies across its line; its words go along in a card whose parts are stacked. */
const alignCss = (align: Alignment, isDown: boolean): Declarations => ({
  'align-self': ALIGN[align],
  ...(isDown && align !== 'stretch' && { 'text-align': align }),
});

function flowCss(look: TileLook): Declarations {
  const { align, direction, gap, writingDirection } = look;
  const across = align === 'center' ? 'center' : align === 'end' ? 'end' : 'start';
  return {
    'justify-content': SPREAD[look.spread],
    ...(direction === 'row' && { 'flex-direction': 'row' }),
    ...(align !== undefined && { 'align-items': ALIGN[align] }),
    ...(align !== undefined && align !== 'stretch' && direction !== 'row' && { 'text-align': across }),
    ...(gap !== undefined && { gap: measureCss(gap) }),
    ...(writingDirection === 'vertical' && { 'writing-mode': 'vertical-rl' }),
  };
}

/** What a property is where a look says nothing of it. */
const UNSAID: Declarations = {
  'flex-direction': 'column',
  'align-items': 'normal',
  'text-align': 'start',
  'writing-mode': 'horizontal-tb',
  border: 'none',
  'box-shadow': 'none',
  mask: 'none',
  'mask-composite': 'add',
  'background-blend-mode': 'normal',
  'mix-blend-mode': 'normal',
  'backdrop-filter': 'none',
  content: 'none',
  display: 'none',
  'font-feature-settings': 'normal',
  'font-variation-settings': 'normal',
  'text-wrap-style': 'auto',
};

/** What a tile has beside its parts by its look alone. */
const IN_FRONT_OR_BEHIND = /(::before|::after|> \[data-behind="[^"]*"\])$/;

/** A tile among what lies around it. */
export interface TileAmong {
  readonly known: Known;
  readonly tile: Tile;
}

/** The rules in which a tile with another look, or in a group with another one, differs from what it was. */
export function differingRules(before: TileAmong, after: TileAmong, image: PictureImage): Rule[] {
  const was = new Map(
    ownRules(before.known, before.tile, image).map(({ selector, declarations }) => [selector, declarations]),
  );
  const is = ownRules(after.known, after.tile, image);
  const ended = [...was.keys()]
    .filter((selector) => IN_FRONT_OR_BEHIND.test(selector) && !is.some((rule) => rule.selector === selector))
    .map((selector): Rule => ({ selector, declarations: {} }));
  return [...is, ...ended].map(({ selector, declarations }) => {
    const said = was.get(selector) ?? {};
    const gone = Object.keys(said).filter((property) => !(property in declarations) && property in UNSAID);
    return {
      selector,
      declarations: {
        ...Object.fromEntries(
          Object.entries(declarations).filter(([property, value]) => said[property] !== value),
        ),
        ...Object.fromEntries(gone.map((property) => [property, UNSAID[property] as string])),
      },
    };
  });
}

function typeCss(look: TileLook, role: 'heading' | 'body'): Declarations {
  const family = look[`${role}Family`];
  const size = look[`${role}Size`];
  const weight = look[`${role}Weight`];
  const lineHeight = look[`${role}LineHeight`];
  const letterSpacing = look[`${role}LetterSpacing`];
  return {
    ...(family !== undefined && { 'font-family': familyCss(family) }),
    ...(size !== undefined && { 'font-size': typeSizeCss(size) }),
    ...(weight !== undefined && { 'font-weight': String(weight) }),
    ...(lineHeight !== undefined && { 'line-height': String(lineHeight) }),
    ...(letterSpacing !== undefined && { 'letter-spacing': `${letterSpacing}em` }),
    ...settingsCss(look, role),
  };
}

/** What words inherit from the tile they are in is taken back for those that have nothing of their own. */
function settingsCss(look: TileLook, role: 'heading' | 'body'): Declarations {
  const said = (of: 'heading' | 'body'): Declarations => ({
    ...(look[`${of}Features`] && { 'font-feature-settings': featuresCss(look[`${of}Features`] ?? []) }),
    ...(look[`${of}Axes`] && { 'font-variation-settings': axesCss(look[`${of}Axes`] ?? {}) }),
  });
  const wrap = look[`${role}Wrap`];
  const wraps = wrap && { 'text-wrap-style': wrap === 'wrap' ? 'auto' : wrap };
  if (role === 'body') return { ...said('body'), ...wraps };
  const inherited: Declarations = Object.fromEntries(
    Object.keys(said('body')).map((property) => [property, UNSAID[property] as string]),
  );
  return { ...inherited, ...said('heading'), ...wraps };
}

/** Held at its corner or edge alone, so that more words make it grow away from there. */
function badgeRule(tile: Tile, { inline, block, fill, textColour }: Badge, k: number): Rule {
  const shift = (lie: Badge['inline']) => (lie === 'center' ? '-50%' : '0');
  const inset = (axis: string, lie: Badge['inline']) => ({
    [`inset-${axis}-${lie === 'end' ? 'end' : 'start'}`]: lie === 'center' ? '50%' : px(BADGE_INSET),
  });
  return {
    selector: `${tileSelector(tile.id)} > [data-badge="${k + 1}"]`,
    declarations: {
      ...inset('block', block),
      ...inset('inline', inline),
      ...((inline === 'center' || block === 'center') && {
        translate: `${shift(inline)} ${shift(block)}`,
      }),
      background: colourCss(fill),
      color: colourCss(textColour),
    },
  };
}
