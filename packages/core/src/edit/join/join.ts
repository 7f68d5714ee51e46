import { checkDocument } from '../../check/checkDocument.js';
import { familiesInLooks, hasFamily } from '../../parts/families.js';
import { looksOfBands } from '../../document/bandLooks.js';
import {
  filmsIn,
  iconsIn,
  looksOfVariants,
  namedLooksIn,
  namedLooksOf,
  picturesIn,
  usedOf,
  usesOfBands,
  usesOfVariants,
} from '../../parts/uses.js';
import { byIdentity, byPosition } from './byIdentity.js';
import { withDerivedBands, withoutDerivedBands } from './derivedBands.js';
import { same } from '../../same.js';
import { settleMoved } from './moved.js';
import { settleDeleted, type Versions } from './tiles.js';
import { settlePins } from './pins.js';
import { joinTree } from './tree.js';
import { joinValues, type Umpire } from './values.js';
import { usesInLook } from '../../look/paints.js';
import type { Joined, JoinRequest, Meeting, Side } from './types.js';
import type { CollectionDocument, NarrowerBand, Tile } from '../../document/types.js';

/**
 * Joins two versions of a collection that began as one: what one side changed is taken, by what it is
 * (a tile, a band, a track, a stop of a gradient), never by where it stands. Where both changed one
 * value, or one deleted what the other changed, the side that was chosen is followed. Of bands that are
 * derived only what people set in them is joined; what was derived is theirs until it is derived anew.
 * @returns a sound document; where the two would not make one together, the whole is one meeting
 */
export function joinDocuments(request: JoinRequest): Joined {
  const bare = withoutDerivedBands(request);
  if (!bare) return joinVersions(request);
  const joined = joinVersions({ ...request, ...bare });
  return { ...joined, document: withDerivedBands(joined.document, request) };
}

function joinVersions(request: JoinRequest): Joined {
  const { base, ours, theirs } = request;
  if (same(ours, theirs) || same(base, theirs)) return { document: ours, meetings: [], kept: [] };
  if (same(base, ours)) return { document: theirs, meetings: [], kept: [] };
  const umpire = new Choosing(request);
  const identified = { base: byIdentity(base), ours: byIdentity(ours), theirs: byIdentity(theirs) };
  const versions = settleMoved(settleDeleted(identified, umpire), umpire);
  const joined = joinValues(withoutOrders(versions), '', umpire) as CollectionDocument;
  const tree = joinTree(versions, joined.tiles, umpire);
  const { bands, ...others } = joined;
  const placed = { ...others, bands: joinBands(bands, versions, umpire), ...tree };
  const whole = byPosition(settlePins(placed, versions, umpire));
  const { document: complete, kept } = withUsed(tidied(whole), { base, ours, theirs });
  const { document } = checkDocument(complete);
  if (document) return { document, meetings: umpire.meetings(), kept };
  const all = new Choosing(request);
  return {
    document: request[all.decide({ path: '', base, ours, theirs })],
    meetings: all.meetings(),
    kept: [],
  };
}

class Choosing implements Umpire {
  private readonly met = new Map<string, Meeting>();

  constructor(private readonly request: Pick<JoinRequest, 'choices' | 'otherwise'>) {}

  decide(meeting: Meeting): Side {
    this.met.set(meeting.path, meeting);
    const { choices = {}, otherwise } = this.request;
    return choices[meeting.path] ?? otherwise;
  }

  meetings(): Meeting[] {
    return [...this.met.values()];
  }
}

/** Orders of tiles are joined apart, as one tree. */
function withoutOrders(versions: Versions): Versions {
  const plain = (document: CollectionDocument): CollectionDocument => ({
    ...document,
    order: [],
    tiles: Object.fromEntries(
      Object.entries(document.tiles).map(([id, tile]) => [
        id,
        tile.kind === 'group' ? { ...tile, order: [] } : tile,
      ]),
    ),
  });
  return { base: plain(versions.base), ours: plain(versions.ours), theirs: plain(versions.theirs) };
}

/** Bands from wide to narrow. Two at one width are one too many: one side’s is kept. */
function joinBands(
  bands: readonly NarrowerBand[],
  { base, ours, theirs }: Versions,
  umpire: Umpire,
): NarrowerBand[] {
  const sorted = bands.toSorted((a, b) => b.below - a.below || (a.id < b.id ? -1 : 1));
  const kept: NarrowerBand[] = [];
  for (const band of sorted) {
    const last = kept.at(-1);
    if (last?.below !== band.below) {
      kept.push(band);
      continue;
    }
    const pair = [last, band];
    const of = (document: CollectionDocument) =>
      document.bands.filter(({ id, below }) => below === band.below && pair.some((each) => each.id === id));
    const side = umpire.decide({
      path: `/bands/${pair
        .map(({ id }) => id)
        .sort()
        .join(' ')}/below`,
      base: of(base)[0]?.below,
      ours: of(ours)[0]?.below,
      theirs: of(theirs)[0]?.below,
    });
    const chosen = (side === 'ours' ? of(ours) : of(theirs))[0];
    kept[kept.length - 1] = pair.find(({ id }) => id === chosen?.id) ?? last;
  }
  return kept;
}

/** Without what bands say of tiles that are gone, or of groups that are none. */
function tidied(document: CollectionDocument): CollectionDocument {
  const { tiles } = document;
  function left<Entry>(all: Readonly<Record<string, Entry>>, fits: (tile: Tile) => boolean = () => true) {
    const entries = Object.entries(all).filter(([id]) => {
      const tile = Object.hasOwn(tiles, id) ? tiles[id] : undefined;
      return tile !== undefined && fits(tile);
    });
    return Object.fromEntries(entries);
  }
  return {
    ...document,
    bands: document.bands.map((band) => ({
      ...band,
      tiles: left(band.tiles),
      ...(band.looks && { looks: left(band.looks) }),
      ...(band.groups && { groups: left(band.groups, ({ kind }) => kind === 'group') }),
    })),
  };
}

type Assets = 'pictures' | 'films' | 'icons' | 'families' | 'namedLooks' | 'styles' | 'recipes';

/** With what one side deleted and the other came to use put back. */
function withUsed(document: CollectionDocument, { ours, theirs, base }: Versions) {
  const kept: string[] = [];
  let complete = document;
  const need = (field: Assets, ids: readonly string[]) => {
    for (const id of ids) {
      if (Object.hasOwn(complete[field] ?? {}, id)) continue;
      const from = [ours, theirs, base].find((each) => Object.hasOwn(each[field] ?? {}, id));
      if (!from) continue;
      complete = { ...complete, [field]: { ...complete[field], [id]: from[field]?.[id] } };
      kept.push(`/${field}/${id}`);
    }
  };
  const usedRecipes = [
    ...Object.values(document.tiles).flatMap(({ recipe }) => recipe?.recipe ?? []),
    ...Object.values(document.tables ?? {}).map(({ recipe }) => recipe),
  ];
  need('recipes', usedRecipes);
  const inRecipes = Object.values(complete.recipes ?? {}).flatMap((recipe) => Object.values(recipe.tiles));
  const tiles = [...Object.values(document.tiles), ...inRecipes];
  need(
    'styles',
    tiles.flatMap(({ style }) => style ?? []),
  );
  const styles = Object.values(complete.styles ?? {}).map(({ look }) => look);
  const behind = [
    ...usesOfBands(document),
    ...styles.flatMap(usesInLook),
    ...Object.values(complete.recipes ?? {}).flatMap(usesOfVariants),
  ];
  need('pictures', [...tiles.flatMap(picturesIn), ...usedOf(behind, 'picture')]);
  need('films', [...tiles.flatMap(filmsIn), ...usedOf(behind, 'film')]);
  need('icons', tiles.flatMap(iconsIn));
  need(
    'families',
    familiesInLooks([
      document.look,
      ...tiles.map(({ look }) => look),
      ...looksOfBands(document),
      ...styles,
      ...Object.values(complete.recipes ?? {}).flatMap(looksOfVariants),
    ]).filter((name) => !hasFamily({}, name)),
  );
  const variants = Object.values(complete.recipes ?? {}).map((recipe) => recipe.variants);
  need('namedLooks', [
    ...tiles.flatMap(namedLooksOf),
    ...namedLooksIn(document.look),
    ...namedLooksIn(variants),
    ...namedLooksIn(styles),
    ...namedLooksIn(looksOfBands(document)),
  ]);
  return { document: complete, kept };
}
