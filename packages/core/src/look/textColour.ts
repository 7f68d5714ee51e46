import { contrast } from './contrast.js';
import { composed, hexOf, rgbOf } from './blend.js';
import { fromOklch, toOklch } from './colour.js';
import { colourOf } from './named.js';
import { byRaster, isGuessed, paintedBy, paintsOf, type Guess, type Known, type Spot } from './painted.js';
import type { SlotSize } from './crop.js';
import type { Spread, TileLook } from '../document/look.js';
import { withContents } from '../document/levels.js';
import { perObject } from '../memo.js';
import type { GroupTile, Tile, TileId } from '../document/types.js';

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
 * @param behind what shows through it
 */
export function coloursOf(
  known: Known,
  look: Grounded,
  behind: readonly string[] = [groundOf(known)],
): readonly string[] {
  const { fill, over } = look;
  if (fill === 'none' && !over) return behind;
  if (isOneColour(look)) return [colourOf(known.namedLooks, fill as string)];
  const guesses: readonly Guess[] = isGuessed(known, look) ? [0, 1, 2] : [0];
  const painted = guesses.flatMap((guess) =>
    placesFor(look.spread).map(paintedBy(known, look, ANY_TILE, byRaster(guess))),
  );
  const found = behind.flatMap((colour) => {
    const under = { colour: rgbOf(colour), alpha: 1 };
    return painted.map((each) => hexOf(composed(under, each).colour));
  });
  return [...new Set(found)];
}

const groundOf = ({ namedLooks, look }: Known) => colourOf(namedLooks, look?.background ?? PAPER);

/** The group that each tile lies in. */
const groupsOf = perObject((tiles: Known['tiles'] & object) => {
  const groups = new Map<TileId, GroupTile>();
  for (const tile of Object.values(tiles))
    if (tile.kind === 'group') for (const id of tile.order) groups.set(id, tile);
  return groups;
});

/** The group that a tile lies in; undefined where it lies in none, or nothing is known of that. */
const groupAround = ({ tiles }: Known, id: TileId | undefined): GroupTile | undefined =>
  tiles && id !== undefined ? groupsOf(tiles).get(id) : undefined;

/**
 * What lies behind a tile, `#rrggbb`: the tiles that it lies over, on its group, on what lies behind that, at
 * its darkest and its lightest.
 */
function coloursBehind(known: Known, id: TileId | undefined): readonly string[] {
  const group = groupAround(known, id);
  const around = group ? paintedOver(known, group, coloursBehind(known, group.id)) : [groundOf(known)];
  return lowerThan(known, id).reduce<readonly string[]>((behind, { tile, isBehindAll }) => {
    const under = paintedOver(known, tile, behind);
    const inside = whole(known, tile).flatMap((each) =>
      each.id === tile.id ? [] : paintedOver(known, each, under),
    );
    return ends([...(isBehindAll ? [] : behind), ...under, ...inside]);
  }, around);
}

const lowerThan = ({ lower }: Known, id: TileId | undefined) =>
  (id === undefined ? undefined : lower?.get(id)) ?? [];

/** A tile on what is behind it, at its darkest and its lightest. */
const paintedOver = (known: Known, tile: Tile, behind: readonly string[]): readonly string[] =>
  ends(
    paintsOf(tile).reduce(
      (under, { fill, over = [] }) => coloursOf(known, { fill, ...(over.length > 0 && { over }) }, under),
      behind,
    ),
  );

/** A tile with all that is in it, itself first. */
const whole = ({ tiles = {} }: Known, { id }: Tile): readonly Tile[] =>
  withContents({ tiles }, id).flatMap((each) => tiles[each] ?? []);

/** The darkest and the lightest of colours. */
function ends(colours: readonly string[]): readonly string[] {
  const all = colours.toSorted((a, b) => toOklch(a).lightness - toOklch(b).lightness);
  return [...new Set([all[0] ?? PAPER, all.at(-1) ?? PAPER])];
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

/**
 * What the words of a tile are told by beside the tile itself: the tiles that it lies over, the looks of the
 * groups around it, and the ground.
 */
export function behindWords(known: Known, { id }: Pick<Tile, 'id'>): readonly unknown[] {
  const group = groupAround(known, id);
  return [
    ...lowerThan(known, id).flatMap(({ tile, isBehindAll }) => [isBehindAll, ...whole(known, tile)]),
    ...(group ? [group.look, ...behindWords(known, group)] : [known.look?.background]),
  ];
}

type Worded = Pick<Tile, 'look'> & Partial<Pick<Tile, 'id'>>;

/** Whether one opaque colour is all that is behind the words of a tile. */
export const isOneColour = ({ fill, over }: Pick<TileLook, 'fill' | 'over'>): boolean =>
  typeof fill === 'string' && fill !== 'none' && !over;

/** The text colour of a tile's words: its own, or the one that is legible on what lies behind them. */
export const textColourOf = (known: Known, { id, look }: Worded): string =>
  look.textColour === 'auto'
    ? legibleTextColour(coloursOf(known, look, coloursBehind(known, id)))
    : colourOf(known.namedLooks, look.textColour);

/** The contrast of a tile's words to what lies behind them, 1 to 21. */
export const contrastIn = (known: Known, tile: Worded): number =>
  leastContrast(textColourOf(known, tile), coloursOf(known, tile.look, coloursBehind(known, tile.id)));
