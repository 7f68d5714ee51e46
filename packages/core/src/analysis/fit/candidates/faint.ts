import { bandAt } from '../../../document/bands.js';
import { colourOf } from '../../../look/named.js';
import { contrast } from '../../../look/contrast.js';
import { contrastsAt } from '../../contrast/contrastAt.js';
import { coloursOf, legibleTextColour } from '../../../look/textColour.js';
import { lookedAt } from '../../../arrangements/lookedAt.js';
import { faintest } from '../alwaysFindings.js';
import { isGradient, isPictureFill } from '../../../look/paints.js';
import { layoutCollection } from '../../../layout/layout.js';
import { LIMITS } from '../../../document/limits.js';
import { setLook } from '../../../edit/commands/tiles.js';
import { tame, type Candidate } from '../candidate.js';
import type { CheckOptions } from '../checkFit.js';
import type { CollectionDocument, Fill, FillLayer, TileLook, Tile, Veil } from '../../../document/types.js';
import type { Finding } from '../types.js';

/** How often a tint is made denser at most. */
const MOST_TINTS = 6;
/** How dense a veil is tried, the least first. */
const VEILS = [0.3, 0.45, 0.6, 0.75, 0.9];
const [DARK, LIGHT] = ['#0d1a19', '#fbfaf7'];

/** What makes faint words legible: another colour of them, or something between them and what is behind. */
export function* legible(
  document: CollectionDocument,
  { kind, tiles: [id = ''], worst }: Finding,
  options: CheckOptions,
): Generator<Candidate> {
  const tile = document.tiles[id];
  if (kind !== 'faint' || !tile) return;
  yield tame('Automatic text colour', (draft) => {
    const own = draft.tiles[id];
    if (own) own.look.textColour = 'auto';
  });
  yield tame('Legible badges', (draft) => {
    for (const badge of draft.tiles[id]?.badges ?? [])
      badge.textColour = legibleTextColour(coloursOf(document, { fill: badge.fill }));
  });
  const isFaint = faintAt(document, tile, worst, options);
  const tinted = tintedEnough(tile, isFaint);
  if (tinted) yield tame('A stronger tint', setLook([id], { fill: tinted }));
  const veiled = veiledEnough(document, tile, isFaint);
  if (veiled) yield tame('A veil behind the words', setLook([id], { over: veiled }));
}

/** Whether the words of a tile would be faint in another look, where they stand at a width. */
function faintAt(
  document: CollectionDocument,
  tile: Tile,
  width: number,
  { measurer, details }: CheckOptions,
): (look: Partial<TileLook>) => boolean {
  const layout = layoutCollection(document, width, { measurer });
  const band = bandAt(document, width);
  return (look) => {
    const other = { ...tile, look: { ...tile.look, ...look } };
    const looks = lookedAt({ ...document, tiles: { ...document.tiles, [tile.id]: other } }, band.index);
    const asked = { ids: new Set([tile.id]), measurer, details };
    const where = contrastsAt(looks, layout, width, band, asked);
    const { has, need } = faintest(looks, other, where.get(tile.id));
    return has < need;
  };
}

/** What lies over a picture, denser: a colour at least by half, each stop of a gradient by a fifth more. */
function strongerVeil(veil: Veil): Veil {
  const denser = (opacity: number) => Math.min(1, opacity + 0.2);
  return isGradient(veil)
    ? { ...veil, stops: veil.stops.map((stop) => ({ ...stop, opacity: denser(stop.opacity ?? 1) })) }
    : { ...veil, opacity: Math.max(0.55, denser(veil.opacity)) };
}

type IsFaint = ReturnType<typeof faintAt>;

/** The picture behind a tile with as much of a tint as its words need, and no more; null where none is enough. */
function tintedEnough(tile: Tile, isFaint: IsFaint): Fill | null {
  let { fill } = tile.look;
  for (let k = 0; k < MOST_TINTS; k++) {
    if (!isPictureFill(fill)) return null;
    fill = { ...fill, tint: strongerVeil(fill.tint) };
    if (!isFaint({ fill })) return fill;
  }
  return null;
}

/** A layer over what fills a tile, as dense as its words need; null where the fill is one colour, or none is enough. */
function veiledEnough(
  document: CollectionDocument,
  { look }: Tile,
  isFaint: IsFaint,
): readonly FillLayer[] | null {
  if (typeof look.fill === 'string' && look.fill !== 'none') return null;
  const own = look.textColour === 'auto' ? null : colourOf(document.namedLooks, look.textColour);
  const colour = own !== null && contrast(own, LIGHT) > contrast(own, DARK) ? LIGHT : DARK;
  for (const opacity of VEILS) {
    const over: FillLayer[] = [{ fill: { kind: 'plain', colour, opacity } }, ...(look.over ?? [])];
    if (over.length <= LIMITS.layers && !isFaint({ over })) return over;
  }
  return null;
}
