import { measuredIn } from '../../document/measured.js';
import { bandsOf, inheritedArrangement, placeIn, shownTiles, type Band } from '../../document/bands.js';
import { HOLDING } from '../../arrangements/index.js';
import { valuesIn } from '../../arrangements/questions.js';
import { isAlong, masonryOf, toleranceOf } from '../../arrangements/masonry/values.js';
import { balanceLanes } from '../../arrangements/masonry/balanceLanes.js';
import { withContents } from '../../document/levels.js';
import { LIMITS } from '../../document/limits.js';
import { setArrangement } from './arrangement.js';
import { setOwn, type SetFor } from './place.js';
import { writeBand } from './draft.js';
import type { Command } from '../patch/change.js';
import type { Layout } from '../../arrangements/kind.js';
import type {
  ArrangementName,
  CollectionDocument,
  KindValues,
  MosaicPlace,
  Tile,
  TileId,
} from '../../document/types.js';

/** Sets how tiles are laid out; columns and spans are kept for when another kind comes back. */
export const setKind = (kind: ArrangementName, band: number, setFor: SetFor): Command =>
  setArrangement({ kind }, band, setFor);

/** Sets some of the values of a kind; the others stay as they are in the band. */
export function setOfKind<K extends keyof KindValues>(
  of: K,
  values: Partial<KindValues[K]>,
  band: number,
  setFor: SetFor,
): Command {
  return (draft) => {
    const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    setArrangement({ [of]: { ...valuesIn(arrangement, of), ...values } }, band, setFor)(draft);
  };
}

/** Begins a row of a gallery with tiles, or lets them flow again. */
export function setBreakBefore(
  ids: readonly TileId[],
  breakBefore: boolean,
  band: number,
  setFor: SetFor,
): Command {
  return (draft) => ids.forEach((id) => draft.tiles[id] && setOwn(draft, id, { breakBefore }, band, setFor));
}

/** Locks tiles in their slots of a mosaic in one band; null lets a tile go where there is room. */
export function setSlots(slots: Readonly<Record<TileId, MosaicPlace | null>>, band: number): Command {
  return (draft) => {
    for (const [id, slot] of Object.entries(slots)) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (band === 0) Object.assign(tile.place, { slot });
      else if (slot) writeBand(draft, band).tiles[id] = { ...writeBand(draft, band).tiles[id], slot };
      else {
        const { tiles } = writeBand(draft, band);
        const own = tiles[id];
        delete own?.slot;
        if (own && Object.keys(own).length === 0) delete tiles[id];
      }
    }
  };
}

export interface Evened {
  readonly command: Command;
  /** How uneven the lanes end, (longest − shortest) ÷ mean, before and after. */
  readonly before: number;
  readonly after: number;
  /** How many tiles change their place in reading order. */
  readonly moved: number;
}

/**
 * Evens out how the lanes of a masonry end by reordering, each tile no further from its place in
 * reading order than `distance`.
 * @param layout of the level at the width that is meant
 * @throws RangeError when the distance is no whole number, 0 or more
 */
export function evenLanes(
  document: CollectionDocument,
  band: Band,
  layout: Layout,
  distance: number,
): Evened {
  const along = isAlong(band.arrangement);
  const sizes = new Map(
    layout.tiles.map(({ id, inlineSize, blockSize }) => [id, along ? inlineSize : blockSize]),
  );
  const ids = shownTiles(document, band).map(({ tile }) => tile.id);
  const items = ids.map((id) => ({
    lane: null,
    span: placeIn(document, document.tiles[id] as Tile, band.index).columnSpan,
    size: sizes.get(id) ?? 0,
  }));
  const { columnGap, rowGap } = measuredIn(band);
  const { order, before, after } = balanceLanes(
    items,
    {
      lanes: along ? layout.rows.length : layout.columns.length,
      gap: along ? columnGap : rowGap,
      tolerance: toleranceOf(masonryOf(band.arrangement)),
    },
    distance,
  );
  const next = order.map((k) => ids[k] as TileId);
  return {
    before,
    after,
    moved: next.filter((id, k) => id !== ids[k]).length,
    command: (draft) => {
      // Tiles that are hidden here stay where they are.
      const shown = new Set(ids);
      let k = 0;
      draft.order = draft.order.map((id) => (shown.has(id) ? (next[k++] as TileId) : id));
    },
  };
}

export interface EqualCells {
  readonly columns: number;
  readonly gap: number;
  /** How many rows the first tile takes, over all columns; 0: it is as the others. */
  readonly hero: number;
}

/** Makes a level equal square cells, with one large tile on top or none. */
export function setEqualCells({ columns, gap, hero }: EqualCells, band: number, setFor: SetFor): Command {
  return (draft) => {
    const count = Math.min(LIMITS.columns, Math.max(1, Math.round(columns)));
    setArrangement(
      {
        kind: HOLDING,
        columns: Array.from({ length: count }, () => '1fr'),
        rows: [],
        cells: 'square',
        columnGap: gap,
        rowGap: gap,
      },
      band,
      setFor,
    )(draft);
    draft.order.forEach((id, k) => {
      const isHero = k === 0 && hero > 0;
      const spans = { columnSpan: isHero ? count : 1, rowSpan: isHero ? hero : 1 };
      setOwn(draft, id, { ...spans, area: null, pin: null }, band, setFor);
    });
  };
}

/**
 * A level as it would be in another kind, at one band alone: for showing it beside the others.
 * @param bandIndex 0 is the widest
 */
export function inKind(
  document: CollectionDocument,
  bandIndex: number,
  kind: ArrangementName,
): CollectionDocument {
  const tiles = Object.fromEntries(
    document.order
      .flatMap((id) => withContents(document, id))
      .flatMap((id) => {
        const tile = document.tiles[id];
        return tile ? [[id, { ...tile, place: placeIn(document, tile, bandIndex) }]] : [];
      }),
  );
  const arrangement = { ...inheritedArrangement(document, bandIndex), kind, maxInlineSize: null };
  return { ...document, arrangement, tiles, bands: [] };
}
