import {
  colourCss,
  fadeCss,
  faintCss,
  groundCss,
  measureCss,
  percentCss,
  shadesCss,
  sidesCss,
  typeSizeCss,
} from '../look/css.js';
import { inkOf, type Known } from '../look/ink.js';
import { LARGE } from './contentCss.js';
import { familyCss } from './families.js';
import { mergedRules, ruleCss, tileSelector, type Rule } from '../engine/css/rule.js';
import { hasFigure } from './tileHtml.js';
import { px } from '../engine/css/units.js';
import { whileSame } from '../memo.js';
import type { Declarations } from '../engine/css/rule.js';
import type { Alignment, FocalPoint, Spread, TileLook } from '../document/look.js';
import type { Badge, FilmTile, PictureAsset, PictureTile, Tile } from '../document/types.js';

/** Where a picture behind a tile's contents is found, as a CSS image. */
export type PictureImage = (picture: PictureAsset, tile: Tile) => string;

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
  remembered(tile, [document.pictures, document.namedLooks, image], () =>
    tileRules(document, tile, image).map(ruleCss).join('\n'),
  );

const SPREAD: Readonly<Record<Spread, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  between: 'space-between',
};

const ALIGN: Readonly<Record<Alignment, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  fill: 'stretch',
};

function ownRules(document: Known, tile: Tile, image: PictureImage): Rule[] {
  const { look } = tile;
  const at = tileSelector(tile.id);
  const { fill } = look;
  const behind = typeof fill === 'object' && fill.kind === 'picture' ? document.pictures[fill.picture] : null;
  const ground = groundCss(fill, look.border, behind ? image(behind, tile) : null);
  const frame: Declarations = {
    ...ground,
    ...(look.radius !== undefined && { 'border-radius': measureCss(look.radius) }),
    ...(look.padding !== undefined && {
      padding: typeof look.padding === 'object' ? sidesCss(look.padding) : measureCss(look.padding),
    }),
    ...shadesCss(look.outerShade, look.innerShade),
    ...fadeCss(look.fade),
  };
  const ink = { color: look.ink === 'auto' ? inkOf(document, tile) : colourCss(look.ink) };
  if (tile.kind === 'picture')
    return [{ selector: at, declarations: frame }, ...pictureRules(document, tile)];
  if (tile.kind === 'film')
    return [{ selector: at, declarations: { ...frame, ...ink } }, ...filmRules(document, tile, image)];
  if (tile.kind === 'group') {
    // The tracks of a group keep its padding and gaps.
    const { padding: _, ...rest } = frame;
    return [{ selector: at, declarations: { ...rest, ...ink } }];
  }
  const contents: Declarations = { ...frame, ...ink, ...flowCss(look), ...typeCss(look, 'body') };
  const large = typeCss(look, 'heading');
  const marksAt =
    tile.kind === 'marks' ? marksRules(at, tile.badges !== undefined || tile.link !== undefined, look) : [];
  return [
    { selector: at, declarations: contents },
    { selector: tile.kind === 'action' ? at : `${at} > ${LARGE}`, declarations: large },
    ...marksAt,
  ];
}

function flowCss(look: TileLook): Declarations {
  const { align, direction, gap, textDirection } = look;
  const across = align === 'centre' ? 'center' : align === 'end' ? 'end' : 'start';
  return {
    'justify-content': SPREAD[look.spread],
    ...(direction === 'along' && { 'flex-direction': 'row' }),
    ...(align !== undefined && { 'align-items': ALIGN[align] }),
    ...(align !== undefined && align !== 'fill' && direction !== 'along' && { 'text-align': across }),
    ...(gap !== undefined && { gap: measureCss(gap) }),
    ...(textDirection === 'block' && { 'writing-mode': 'vertical-rl' }),
  };
}

/** What a property is where a look says nothing of it. */
const UNSAID: Declarations = {
  'flex-direction': 'column',
  'align-items': 'normal',
  'text-align': 'start',
  'writing-mode': 'horizontal-tb',
};

/** The rules in which a tile with another look differs from what it was. */
export function differingRules(document: Known, before: Tile, after: Tile, image: PictureImage): Rule[] {
  const was = new Map(
    ownRules(document, before, image).map(({ selector, declarations }) => [selector, declarations]),
  );
  return ownRules(document, after, image).map(({ selector, declarations }) => {
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

/** A row of marks in a tile that holds more beside it is spread as the tile is. */
const marksRules = (at: string, isInside: boolean, look: TileLook): Rule[] =>
  isInside
    ? [
        {
          selector: `${at} > ul`,
          declarations: {
            'justify-content': SPREAD[look.align === 'fill' || !look.align ? 'start' : look.align],
            ...(look.gap !== undefined && { gap: measureCss(look.gap) }),
          },
        },
      ]
    : [
        {
          selector: at,
          declarations: {
            'align-content': SPREAD[look.spread],
            'justify-content': SPREAD[look.align === 'fill' || !look.align ? 'start' : look.align],
          },
        },
      ];

function typeCss(look: TileLook, role: 'heading' | 'body'): Declarations {
  const family = look[`${role}Family`];
  const size = look[`${role}Size`];
  const weight = look[`${role}Weight`];
  const lineHeight = look[`${role}LineHeight`];
  const tracking = look[`${role}Tracking`];
  return {
    ...(family !== undefined && { 'font-family': familyCss(family) }),
    ...(size !== undefined && { 'font-size': typeSizeCss(size) }),
    ...(weight !== undefined && { 'font-weight': String(weight) }),
    ...(lineHeight !== undefined && { 'line-height': String(lineHeight) }),
    ...(tracking !== undefined && { 'letter-spacing': `${tracking}em` }),
  };
}

const pointCss = ({ x, y }: FocalPoint) => `${percentCss(x)} ${percentCss(y)}`;

function pictureRules({ pictures }: Known, tile: PictureTile): Rule[] {
  const at = tileSelector(tile.id);
  const { zoom = 1, tint, shows = 'cover', position = tile.focalPoint } = tile;
  const picture = tile.picture === null ? undefined : pictures[tile.picture];
  const isInFigure = hasFigure(tile);
  return [
    {
      selector: isInFigure ? `${at} > img` : at,
      declarations: {
        ...(shows === 'contain' && { 'object-fit': 'contain' }),
        'object-position': pointCss(position),
        // A smaller variant has whole px, and so not quite the picture's aspect.
        ...(picture && { 'aspect-ratio': `${picture.inlineSize} / ${picture.blockSize}` }),
        ...(zoom !== 1 && { scale: String(zoom), 'transform-origin': pointCss(position) }),
      },
    },
    ...(picture?.placeholder && shows === 'cover' && typeof tile.look.fill === 'string'
      ? [
          {
            selector: at,
            declarations: {
              background: `${colourCss(tile.look.fill)} url("${picture.placeholder}") ${pointCss(position)} / cover no-repeat`,
            },
          },
        ]
      : []),
    ...(tint && tint.strength > 0 && isInFigure
      ? [
          {
            selector: `${at}::after`,
            declarations: {
              content: '""',
              position: 'absolute',
              inset: '0',
              background: faintCss(tint.colour, tint.strength),
            },
          },
        ]
      : []),
  ];
}

/** A film lies over its poster, which is seen by those who asked for less motion. */
function filmRules({ pictures }: Known, tile: FilmTile, image: PictureImage): Rule[] {
  const at = tileSelector(tile.id);
  const poster = tile.poster === null ? undefined : pictures[tile.poster];
  const where = pointCss(tile.focalPoint);
  return [
    { selector: `${at} > video`, declarations: { 'object-position': where } },
    ...(poster
      ? [{ selector: at, declarations: { background: `${image(poster, tile)} ${where} / cover no-repeat` } }]
      : []),
  ];
}

const BADGE_INSET = 10;

/** Held at its corner or edge alone, so that more words make it grow away from there. */
function badgeRule(tile: Tile, { inline, block, fill, ink }: Badge, k: number): Rule {
  const shift = (lie: Badge['inline']) => (lie === 'centre' ? '-50%' : '0');
  const inset = (axis: string, lie: Badge['inline']) => ({
    [`inset-${axis}-${lie === 'end' ? 'end' : 'start'}`]: lie === 'centre' ? '50%' : px(BADGE_INSET),
  });
  return {
    selector: `${tileSelector(tile.id)} > [data-badge="${k + 1}"]`,
    declarations: {
      ...inset('block', block),
      ...inset('inline', inline),
      ...((inline === 'centre' || block === 'centre') && {
        translate: `${shift(inline)} ${shift(block)}`,
      }),
      background: colourCss(fill),
      color: colourCss(ink),
    },
  };
}
