import { whileSame } from '../memo.js';
import { fromOklch, toOklch } from './colour.js';
import { slugOf } from '../document/slug.js';
import { lengthAt, type WrittenLength } from '../engine/css/writtenLength.js';
import type {
  CollectionLook,
  Colour,
  FourCorners,
  Measure,
  NamedLook,
  NamedLooks,
  TypeSize,
  Wash,
} from '../document/look.js';
import type { BandLook, CollectionDocument, NarrowerBand } from '../document/types.js';

const REFERENCE = /^\{([a-z][a-z0-9-]{0,63})\}$/;

/** The id in a reference like `{moss}`; null when the value says itself what it is. */
export const namedIn = (value: unknown): string | null =>
  typeof value === 'string' ? (REFERENCE.exec(value)?.[1] ?? null) : null;

/** A colour made of another one (OKLCH, CSS Color 4, section 9): a grey stays nearly grey. */
export function washOf(base: string, { lightness, chroma: most, turn }: Omit<Wash, 'of'>): string {
  const { chroma, hue } = toOklch(base);
  return fromOklch({ lightness, chroma: Math.min(chroma, most), hue: hue + turn });
}

/** How a named look is referred to. */
export const refer = (id: string) => `{${id}}`;

/** The named look in the end whose value another one has; itself where it follows none, null where they go in a circle. */
export function followedBy(looks: NamedLooks | undefined, look: NamedLook): NamedLook | null {
  let at = look;
  for (const seen = new Set<string>(); at.follows !== undefined;) {
    const next = looks?.[at.follows];
    if (!next || seen.has(at.id)) return null;
    seen.add(at.id);
    at = next;
  }
  return at;
}

/** Custom properties that pages have for their own ends, without the hyphens before them. */
export const OWN_PROPERTIES = [
  'above',
  'gaps',
  'open',
  'share',
  'size-of-bodies',
  'size-of-headings',
  'strip',
] as const;

/** What each named look is called in a style sheet and in tokens: its name as an id, each another, and none a name that pages use; by its own id. */
export function calledIn(looks: NamedLooks | undefined): ReadonlyMap<string, string> {
  const given = new Set<string>(OWN_PROPERTIES);
  const called = new Map<string, string>();
  for (const { id, name } of Object.values(looks ?? {})) {
    const own = slugOf(name) || id;
    let free = own;
    for (let n = 2; given.has(free); n++) free = `${own}-${n}`;
    given.add(free);
    called.set(id, free);
  }
  return called;
}

function named<K extends NamedLook['kind']>(looks: NamedLooks | undefined, value: unknown, kind: K) {
  const id = namedIn(value);
  const found = id === null ? undefined : looks?.[id];
  return found?.kind === kind ? (found as Extract<NamedLook, { kind: K }>) : null;
}

/** A colour with its name followed: `#rrggbb`. A name that is not there is black. */
export const colourOf = (looks: NamedLooks | undefined, colour: Colour): string =>
  namedIn(colour) === null ? colour : (named(looks, colour, 'colour')?.value ?? '#000000');

/** The page that is meant where nobody says how wide it is, px. */
const ANY_PAGE = 1280;

/** A length with its name followed, px on a page so wide. A name that is not there is 0. */
export const measureOf = (looks: NamedLooks | undefined, value: Measure, page = ANY_PAGE): number =>
  lengthAt(unnamed(looks, value), page);

/** The radii of the corners in the order of CSS, px on a page so wide. */
export const cornersOf = (
  looks: NamedLooks | undefined,
  radius: Measure | FourCorners,
  page = ANY_PAGE,
): readonly [number, number, number, number] => {
  if (typeof radius !== 'object') {
    const all = measureOf(looks, radius, page);
    return [all, all, all, all];
  }
  const { startStart, startEnd, endEnd, endStart } = radius;
  return [
    lengthAt(startStart, page),
    lengthAt(startEnd, page),
    lengthAt(endEnd, page),
    lengthAt(endStart, page),
  ];
};

/** A length as it is written, with its name followed. A name that is not there is 0. */
export const unnamed = (looks: NamedLooks | undefined, value: Measure): WrittenLength =>
  namedIn(value) === null
    ? value
    : (named(looks, value, 'radius')?.value ?? named(looks, value, 'space')?.value ?? 0);

/** A type size with its name followed, as on a page so wide where it is written. A name that is not there is 16 px. */
export const typeSizeOf = (looks: NamedLooks | undefined, value: TypeSize, page = ANY_PAGE) =>
  typeof value !== 'string'
    ? value
    : namedIn(value) === null
      ? lengthAt(value, page)
      : (named(looks, value, 'type')?.value ?? 16);

/** A length that is said otherwise than by px and by a name. */
const isWritten = (value: unknown) => typeof value === 'string' && namedIn(value) === null;

/** Whether a type size, or another length of a look, may be another one on a wider page. */
export const grows = (looks: NamedLooks | undefined, size: TypeSize | null | undefined): boolean =>
  size !== undefined && size !== null && (isWritten(size) || typeof typeSizeOf(looks, size) === 'object');

type Sized = Pick<BandLook, 'headingSize' | 'bodySize' | 'padding' | 'gap' | 'radius'>;

/** Whether anything of a look may be another size on a wider page. */
export const lookGrows = (
  looks: NamedLooks | undefined,
  { headingSize, bodySize, padding, gap, radius }: Sized,
): boolean =>
  grows(looks, headingSize) ||
  grows(looks, bodySize) ||
  isWritten(gap) ||
  (typeof radius === 'object' && radius !== null
    ? Object.values(radius).some(isWritten)
    : isWritten(radius)) ||
  (typeof padding === 'object' && padding !== null
    ? Object.values(padding).some(isWritten)
    : isWritten(padding));

/** The look that tiles have by the collection. */
const tileLookOf = ({ headingSize, bodySize, tilePadding, radius }: CollectionLook): Sized => ({
  headingSize,
  bodySize,
  padding: tilePadding,
  radius,
});

/** Whether anything of a tile’s look, or of what the collection says of it, may be another size on a wider page. */
export const tileGrows = (
  { look, namedLooks }: { readonly look: CollectionLook; readonly namedLooks?: NamedLooks | undefined },
  tile: { readonly look: Sized },
): boolean => lookGrows(namedLooks, tileLookOf(look)) || lookGrows(namedLooks, tile.look);

const bandGrows = (named: NamedLooks | undefined, { looks = {}, typeSizes = {} }: NarrowerBand): boolean =>
  lookGrows(named, typeSizes) || Object.values(looks).some((own) => lookGrows(named, own));

const remembered = whileSame<CollectionDocument['tiles'], boolean>();
const bandsGrow = whileSame<CollectionDocument['bands'], boolean>();
const NO_BANDS: CollectionDocument['bands'] = [];

/** Whether anything of the looks of a collection, type above all, may be another size on a wider page. */
export function looksGrow({
  look,
  tiles,
  namedLooks,
  bands = NO_BANDS,
}: Pick<CollectionDocument, 'look' | 'tiles'> &
  Partial<Pick<CollectionDocument, 'bands'>> & {
    readonly namedLooks?: NamedLooks | undefined;
  }): boolean {
  if (lookGrows(namedLooks, tileLookOf(look))) return true;
  if (bandsGrow(bands, [namedLooks], () => bands.some((band) => bandGrows(namedLooks, band)))) return true;
  if (Object.values(namedLooks ?? {}).some(({ value }) => typeof value === 'object')) return true;
  return remembered(tiles, [namedLooks], () =>
    Object.values(tiles).some(({ look: own }) => lookGrows(namedLooks, own)),
  );
}

/** The widths of the page at which type begins or ends to grow, px. */
export function fluidBends({ look, tiles, namedLooks }: CollectionDocument): number[] {
  const sizes = [
    look.headingSize,
    look.bodySize,
    ...Object.values(namedLooks ?? {}).map(({ value }) => value),
    ...Object.values(tiles).flatMap(({ look: own }) => [own.headingSize, own.bodySize]),
  ];
  return [
    ...new Set(sizes.flatMap((size) => (typeof size === 'object' ? [size.fromWidth, size.toWidth] : []))),
  ];
}
