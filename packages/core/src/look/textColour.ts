import { contrast } from './contrast.js';
import { composed, hexOf, rgbOf } from './blend.js';
import { fromOklch, toOklch } from './colour.js';
import { colourOf } from './named.js';
import { isGuessed, paintedBy, type Guess, type Known, type Spot } from './painted.js';
import type { SlotSize } from './crop.js';
import type { Spread, TileLook } from '../document/look.js';
import type { Tile } from '../document/types.js';

/** What shows through where nothing is known of it. */
const PAPER = '#ffffff';
/** A tile that is meant where nobody says how large it is, px. */
const ANY_TILE: SlotSize = { inlineSize: 360, blockSize: 240 };
/** At so many places along each axis the colours are taken. */
const PLACES = 5;

type Grounded = Pick<TileLook, 'fill' | 'over'> & { readonly spread?: Spread };

/**
 * The colours behind the words of a tile, `#rrggbb`, where its words may be: at its start, its end, or anywhere
 * in it, by how its contents are spread.
 */
export function coloursOf(known: Known, look: Grounded): readonly string[] {
  const under = { colour: rgbOf(colourOf(known.namedLooks, known.look?.background ?? PAPER)), alpha: 1 };
  if (look.fill === 'none' && !look.over) return [hexOf(under.colour)];
  const guesses: readonly Guess[] = isGuessed(known, look) ? [0, 1, 2] : [0];
  const found = guesses.flatMap((guess) => {
    const painter = paintedBy(known, look, ANY_TILE, guess);
    return placesFor(look.spread).map((at) => hexOf(composed(under, painter(at)).colour));
  });
  return [...new Set(found)];
}

/** Where words may be in a tile, px. */
function placesFor(spread: Spread | undefined): Spot[] {
  const [from, to] = spread === 'start' ? [0, 0.6] : spread === 'end' ? [0.4, 1] : [0, 1];
  const steps = Array.from({ length: PLACES }, (_, k) => (k + 0.5) / PLACES);
  return steps.flatMap((u) =>
    steps.map((v) => ({ x: u * ANY_TILE.inlineSize, y: (from + v * (to - from)) * ANY_TILE.blockSize })),
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
export const textColourOf = (known: Known, { look }: Pick<Tile, 'look'>): string =>
  look.textColour === 'auto'
    ? legibleTextColour(coloursOf(known, look))
    : colourOf(known.namedLooks, look.textColour);

/** The contrast of a tile's words to what lies behind them, 1 to 21. */
export const contrastIn = (known: Known, tile: Pick<Tile, 'look'>): number =>
  leastContrast(textColourOf(known, tile), coloursOf(known, tile.look));
