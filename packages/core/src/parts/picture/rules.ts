import { colourCss } from '../../look/css.js';
import { pointCss, veilCss } from '../../look/groundCss.js';
import { isBarePicture } from './bare.js';
import type { PictureAsset, PicturePart } from '../../document/types.js';
import type { Rule } from '../../engine/css/rule.js';
import type { RulesInput } from '../part.js';

/** How a picture is cropped and tinted in its place. */
export function pictureRules(part: PicturePart, { known, tile, at }: RulesInput): Rule[] {
  const { zoom = 1, tint, fit = 'cover', position = part.focalPoint } = part;
  const picture = part.picture === null ? undefined : known.pictures[part.picture];
  const isBare = isBarePicture(tile);
  const veil = veilCss(tint, known.namedLooks);
  return [
    {
      selector: isBare ? at : `${at} > img`,
      declarations: {
        ...(fit === 'contain' && { 'object-fit': 'contain' }),
        'object-position': pointCss(position),
        // A smaller variant has whole px, and so not quite the picture's aspect.
        ...(picture && { 'aspect-ratio': ratioOf(picture) }),
        ...(zoom !== 1 && { scale: String(zoom), 'transform-origin': pointCss(position) }),
      },
    },
    ...(picture?.placeholder && fit === 'cover' && typeof tile.look.fill === 'string'
      ? [
          {
            selector: at,
            declarations: {
              background: `${colourCss(tile.look.fill)} url("${picture.placeholder}") ${pointCss(position)} / cover no-repeat`,
            },
          },
        ]
      : []),
    ...(veil !== null && !isBare
      ? [
          {
            selector: `${at}::after`,
            declarations: {
              content: '""',
              position: 'absolute',
              inset: '0',
              background: veil,
            },
          },
        ]
      : []),
  ];
}

/** The aspect of a picture in its smallest whole numbers. */
function ratioOf({ inlineSize, blockSize }: Pick<PictureAsset, 'inlineSize' | 'blockSize'>): string {
  const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
  const by = divisor(inlineSize, blockSize);
  return `${inlineSize / by} / ${blockSize / by}`;
}
