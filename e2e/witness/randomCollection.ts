import {
  change,
  groupTiles,
  onLevel,
  setArrangement,
  setBreakBefore,
  setHidden,
  setKind,
  setOfKind,
  setOrder,
  setSpan,
  type ArrangementName,
  type CollectionDocument,
  type Command,
  type Level,
} from '@noria/core';
import { seeded, type Random } from './random';

const KINDS: readonly ArrangementName[] = ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'];

/** Settings of one kind in one band, as a designer might choose them. */
function settings({ pick, int, chance }: Random, kind: ArrangementName, band: number): Command {
  const counts = chance(0.5)
    ? { count: int(1, 5), min: 200, max: null }
    : { count: null, min: int(90, 280), max: pick([null, 2, 5]) };
  switch (kind) {
    case 'masonry': {
      const along = chance(0.2);
      return setOfKind(
        'masonry',
        {
          ...counts,
          ...(along && { count: int(1, 3), min: 200, max: null }),
          direction: along ? 'inline' : 'block',
          laneSize: int(90, 240),
          order: pick(['in-turn', 'balanced']),
          tolerance: pick([0, 16, 60]),
        },
        band,
        'band',
      );
    }
    case 'rows': {
      const target = int(90, 300);
      return setOfKind(
        'rowHeights',
        {
          target,
          min: Math.round(target * 0.6),
          max: Math.round(target * 1.6),
          lastRow: pick(['fill-width', 'keep-height']),
        },
        band,
        'band',
      );
    }
    case 'mosaic':
      return setOfKind(
        'mosaic',
        { ...counts, shareOfLarge: pick([0, 0.2, 0.6]), maxCrop: pick([0.2, 0.5, 1]), seed: int(0, 999) },
        band,
        'band',
      );
    case 'fan':
      return setOfKind(
        'fan',
        {
          axis: pick(['inline', 'block']),
          inlineSize: int(180, 420),
          blockSize: int(160, 420),
          strip: int(24, 90),
          open: pick(['first', 'last']),
        },
        band,
        'band',
      );
    default:
      return setArrangement({ autoRows: pick(['120px', 'minmax(90px, auto)']) }, band, 'band');
  }
}

function arranged(random: Random, band: number): Command[] {
  const { pick, int, chance } = random;
  const kind = pick(KINDS);
  const side = () => pick([0, 8, 24]);
  return [
    setKind(kind, band, 'band'),
    settings(random, kind, band),
    ...(chance(0.5) ? [setArrangement({ columnGap: int(0, 24), rowGap: int(0, 24) }, band, 'band')] : []),
    ...(chance(0.3)
      ? [
          setArrangement(
            {
              height: pick([
                { kind: 'content' },
                { kind: 'fixed', px: int(300, 2000) },
                { kind: 'screen', share: 1 },
              ]),
            },
            band,
            'band',
          ),
        ]
      : []),
    ...(chance(0.2) ? [setArrangement({ maxInlineSize: int(300, 1200) }, band, 'band')] : []),
    ...(chance(0.15) ? [setArrangement({ cells: 'square' }, band, 'band')] : []),
    ...(chance(0.3)
      ? [
          setArrangement(
            { padding: { blockStart: side(), inlineEnd: side(), blockEnd: side(), inlineStart: side() } },
            band,
            'band',
          ),
        ]
      : []),
  ];
}

/** A collection made from one that is there: kinds by band, groups of other kinds, spans, breaks, order. */
export function randomCollection(start: CollectionDocument, seed: number): CollectionDocument {
  const random = seeded(seed);
  const { pick, int, chance } = random;
  const bands = Array.from({ length: start.bands.length + 1 }, (_, k) => k);
  const commands: Command[] = bands
    .filter((band) => band === 0 || chance(0.5))
    .flatMap((band) => arranged(random, band));
  const ids = [...start.order];
  if (chance(0.6)) {
    const from = int(0, ids.length - 4);
    const inside = ids.slice(from, from + int(2, 4));
    const inGroup = (command: Command) => onLevel('g', command);
    commands.push(
      groupTiles(inside, 'g', 0),
      setSpan({ tiles: ['g'], band: 0, setFor: 'all', columnSpan: int(1, 3), rowSpan: int(1, 3) }),
      ...arranged(random, 0).map(inGroup),
    );
  }
  const level = (id: string, document: CollectionDocument): Level =>
    document.order.includes(id) ? null : 'g';
  const some = () => ids.filter(() => chance(0.2));
  const placed: ((document: CollectionDocument) => Command)[] = some().map((id) => (document) => {
    const band = pick(bands);
    return onLevel(
      level(id, document),
      pick<() => Command>([
        () => setSpan({ tiles: [id], band, setFor: 'band', columnSpan: int(1, 3), rowSpan: int(1, 3) }),
        () => setBreakBefore([id], true, band, 'band'),
        () => setOrder([id], int(-2, 2), band, 'band'),
        () => setHidden([id], true, band, 'band'),
      ])(),
    );
  });
  const run = (document: CollectionDocument, command: Command) => change(document, command).document;
  const all = placed.reduce(
    (document, command) => run(document, command(document)),
    commands.reduce(run, start),
  );
  // In a group tiles may come out smaller than their padding, which no browser makes them.
  const outside = ids.filter((id) => all.order.includes(id));
  return outside.reduce(
    (document, id) => (chance(0.2) ? run(document, joined(id, pick(outside))) : document),
    all,
  );
}

/** A card that holds another's parts before or after its own: pictures, figures and words together. */
const joined =
  (id: string, from: string): Command =>
  (draft) => {
    const [tile, other] = [draft.tiles[id], draft.tiles[from]];
    if (tile?.kind !== 'card' || other?.kind !== 'card') return;
    const more = other.parts.map((part) => ({ ...part, id: `${part.id}-2` }));
    tile.parts = id < from ? [...tile.parts, ...more] : [...more, ...tile.parts];
  };
