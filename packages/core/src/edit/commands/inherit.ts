import { IDS_OF, isDerivedValue } from '../../document/derived.js';
import { writeBand, type Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** A value that a band sets for itself, and of what: the arrangement, a group's, a tile's place, a look. */
export interface SetHere {
  readonly of: 'arrangement' | 'group' | 'place' | 'look';
  /** The tile or group; null: the collection itself. */
  readonly id: TileId | null;
  /** The field, as the file has it; both spans of a tile are one. */
  readonly field: string;
  readonly value: unknown;
  /** Worked out from the wider band rather than set by hand. */
  readonly derived: boolean;
}

/** Everything that a narrower band sets for itself: the arrangement first, then tiles in reading order. */
export function setHereIn(document: CollectionDocument, bandIndex: number): SetHere[] {
  const band = document.bands[bandIndex - 1];
  if (!band) return [];
  const listed = (of: SetHere['of'], id: TileId | null, values: object | undefined): SetHere[] =>
    Object.entries(values ?? {})
      .filter(([field]) => !Object.values(IDS_OF).includes(field))
      .map(([field, value]) => ({
        of,
        id,
        field,
        value: value as unknown,
        derived: (of === 'arrangement' || of === 'group') && isDerivedValue(band, field, id),
      }));
  const rank = new Map(Object.keys(document.tiles).map((id, k) => [id, k]));
  document.order.forEach((id, k) => rank.set(id, k - document.order.length));
  const byOrder = (ids: readonly string[]) =>
    [...ids].sort((a, b) => (rank.get(a) ?? 0) - (rank.get(b) ?? 0));
  return [
    ...listed('arrangement', null, band.arrangement),
    ...listed('look', null, band.typeSizes),
    ...byOrder(Object.keys(band.groups ?? {})).flatMap((id) => listed('group', id, band.groups?.[id])),
    ...byOrder(Object.keys(band.tiles)).flatMap((id): SetHere[] => {
      const { columnSpan, rowSpan, derived, derivedPin: _, ...rest } = band.tiles[id] ?? {};
      const spans = columnSpan !== undefined || rowSpan !== undefined;
      return [
        ...(spans
          ? [
              {
                of: 'place' as const,
                id,
                field: 'span',
                value: { columnSpan, rowSpan },
                derived: derived === true,
              },
            ]
          : []),
        ...listed('place', id, rest),
      ];
    }),
    ...byOrder(Object.keys(band.looks ?? {})).flatMap((id) => listed('look', id, band.looks?.[id])),
  ];
}

/** Lets values of a band be inherited again. */
export function inheritHere(values: readonly SetHere[], bandIndex: number): Command {
  return (draft) => {
    const band = writeBand(draft, bandIndex);
    for (const each of values) inheritOne(band, each);
  };
}

function inheritOne(band: Draft['bands'][number], { of, id, field }: SetHere): void {
  const drop = (values: object | undefined, fields: readonly string[]): boolean => {
    for (const each of fields) {
      delete (values as Record<string, unknown> | undefined)?.[each];
      delete (values as Record<string, unknown> | undefined)?.[IDS_OF[each] ?? each];
    }
    return values !== undefined && Object.keys(values).length === 0;
  };
  if (of === 'arrangement') drop(band.arrangement, [field]);
  else if (of === 'group' && id !== null && band.groups) {
    if (drop(band.groups[id], [field])) delete band.groups[id];
  } else if (of === 'place' && id !== null) {
    const fields = field === 'span' ? ['columnSpan', 'rowSpan', 'derived'] : [field];
    if (drop(band.tiles[id], fields)) delete band.tiles[id];
  } else if (of === 'look' && id === null) {
    if (drop(band.typeSizes, [field])) delete band.typeSizes;
  } else if (of === 'look' && id !== null && band.looks) {
    if (drop(band.looks[id], [field])) delete band.looks[id];
    if (Object.keys(band.looks).length === 0) delete band.looks;
  }
}
