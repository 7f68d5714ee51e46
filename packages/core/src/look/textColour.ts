import { contrast } from './contrast.js';
import { fromOklch, laidOver, toOklch } from './colour.js';
import { colourOf } from './named.js';
import type { Fill, Tint } from '../document/look.js';
import type { CollectionDocument, PictureAsset, Tile } from '../document/types.js';

/** What a picture may be behind words when nothing is known of it. */
const ANY_PICTURE = ['#000000', '#808080', '#ffffff'];

/** What looks refer to. */
export interface Known {
  readonly pictures: CollectionDocument['pictures'];
  readonly namedLooks?: CollectionDocument['namedLooks'] | undefined;
}

/** What shows through where nothing is known of it. */
const PAPER = '#ffffff';

/** A picture's mean, darkest and lightest colour under a tint. */
function tinted({ namedLooks }: Known, picture: PictureAsset | undefined, tint: Tint | undefined): string[] {
  const colours = picture?.colours ?? ANY_PICTURE;
  if (!tint || tint.opacity === 0) return [...colours];
  return colours.map((each) => laidOver(colourOf(namedLooks, tint.colour), tint.opacity, each));
}

/** The colours of a fill, `#rrggbb`: one, those of its stops, or those of its picture under its tint. */
export function coloursOf(document: Known, fill: Fill): readonly string[] {
  if (fill === 'none') return [PAPER];
  if (typeof fill === 'string') return [colourOf(document.namedLooks, fill)];
  if (fill.kind === 'picture') return tinted(document, document.pictures[fill.picture], fill.tint);
  return fill.stops.map(({ colour, opacity = 1 }) =>
    laidOver(colourOf(document.namedLooks, colour), opacity, PAPER),
  );
}

/**
 * The least contrast of words on several colours behind them, 1 to 21 (WCAG 2.2, 1.4.3).
 * @param textColour, behind `#rrggbb`
 */
export const leastContrast = (textColour: string, behind: readonly string[]) =>
  Math.min(...behind.map((colour) => contrast(textColour, colour)));

/**
 * A dark or light text colour in the hue of what is behind, whichever has more contrast to all of it; pure
 * black or white where these would not reach 4.5 : 1.
 * @param behind `#rrggbb`, at least one
 */
export function legibleTextColour(behind: readonly string[]): string {
  const { hue, chroma } = toOklch(behind[0] ?? '#ffffff');
  const hint = Math.min(0.03, chroma * 0.5);
  const candidates = [
    fromOklch({ lightness: 0.26, chroma: hint, hue }),
    fromOklch({ lightness: 0.97, chroma: hint / 2, hue }),
  ];
  const best = (colours: readonly string[]) =>
    colours.reduce((one, other) => (leastContrast(other, behind) > leastContrast(one, behind) ? other : one));
  const textColour = best(candidates);
  return leastContrast(textColour, behind) >= 4.5 ? textColour : best([textColour, '#000000', '#ffffff']);
}

/** The text colour of a tile's words: its own, or the one that is legible on its fill. */
export const textColourOf = (document: Known, { look }: Pick<Tile, 'look'>): string =>
  look.textColour === 'auto'
    ? legibleTextColour(coloursOf(document, look.fill))
    : colourOf(document.namedLooks, look.textColour);

/** The contrast of a tile's words to what lies behind them, 1 to 21. */
export const contrastIn = (document: Known, tile: Pick<Tile, 'look'>): number =>
  leastContrast(textColourOf(document, tile), coloursOf(document, tile.look.fill));
