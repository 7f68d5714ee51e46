import { whileSame } from '../memo.js';
import type { Colour, Measure, NamedLook, NamedLooks, TypeSize } from '../document/look.js';
import type { CollectionDocument } from '../document/types.js';

const REFERENCE = /^\{([a-z][a-z0-9-]{0,63})\}$/;

/** The id in a reference like `{moss}`; null when the value says itself what it is. */
export const namedIn = (value: unknown): string | null =>
  typeof value === 'string' ? (REFERENCE.exec(value)?.[1] ?? null) : null;

/** How a named look is referred to. */
export const refer = (id: string) => `{${id}}`;

function named<K extends NamedLook['kind']>(looks: NamedLooks | undefined, value: unknown, kind: K) {
  const id = namedIn(value);
  const found = id === null ? undefined : looks?.[id];
  return found?.kind === kind ? (found as Extract<NamedLook, { kind: K }>) : null;
}

/** A colour with its name followed: `#rrggbb`. A name that is not there is black. */
export const colourOf = (looks: NamedLooks | undefined, colour: Colour): string =>
  namedIn(colour) === null ? colour : (named(looks, colour, 'colour')?.value ?? '#000000');

/** A length with its name followed, px. A name that is not there is 0. */
export const measureOf = (looks: NamedLooks | undefined, value: Measure): number =>
  typeof value === 'number'
    ? value
    : (named(looks, value, 'radius')?.value ?? named(looks, value, 'space')?.value ?? 0);

/** A type size with its name followed. A name that is not there is 16 px. */
export const typeSizeOf = (looks: NamedLooks | undefined, value: TypeSize) =>
  typeof value === 'string' ? (named(looks, value, 'type')?.value ?? 16) : value;

/** Whether type grows with the page. */
export const grows = (looks: NamedLooks | undefined, size: TypeSize | undefined): boolean =>
  size !== undefined && typeof typeSizeOf(looks, size) === 'object';

const remembered = whileSame<CollectionDocument['tiles'], boolean>();

/** Whether any type of the collection grows with the page. */
export function hasFluidType({
  look,
  tiles,
  namedLooks,
}: Pick<CollectionDocument, 'look' | 'tiles'> & { readonly namedLooks?: NamedLooks | undefined }): boolean {
  if (grows(namedLooks, look.headingSize) || grows(namedLooks, look.bodySize)) return true;
  if (Object.values(namedLooks ?? {}).some(({ value }) => typeof value === 'object')) return true;
  return remembered(tiles, [namedLooks], () =>
    Object.values(tiles).some(
      ({ look: own }) => grows(namedLooks, own.headingSize) || grows(namedLooks, own.bodySize),
    ),
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
