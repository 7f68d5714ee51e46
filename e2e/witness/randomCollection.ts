import {
  addPart,
  becomeComposition,
  change,
  compositions,
  groupTiles,
  LIMITS,
  movePart,
  onLevel,
  partKinds,
  placePart,
  setArrangement,
  setBreakBefore,
  setFit,
  setHidden,
  setKind,
  setLook,
  setOfKind,
  setOrder,
  setSpan,
  setTrack,
  type ArrangementName,
  type CollectionDocument,
  type Command,
  type Level,
} from '@noria/core';
import { seeded, type Random } from './random';

const KINDS: readonly ArrangementName[] = ['bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan'];

/** Settings of one kind in one band, as a designer might choose them. */
function settings(random: Random, kind: ArrangementName, band: number, lengths: Lengths): Command {
  const { pick, int, chance } = random;
  const size = (least: number, most: number) => {
    const px = int(least, most);
    return lengths === 'px' || chance(0.3) ? px : written(random, px, 'group');
  };
  const counts = chance(0.5)
    ? { count: int(1, 5), min: 200, max: null }
    : { count: null, min: size(90, 280), max: pick([null, 2, 5]) };
  switch (kind) {
    case 'masonry': {
      const along = chance(0.2);
      return setOfKind(
        'masonry',
        {
          ...counts,
          ...(along && { count: int(1, 3), min: 200, max: null }),
          direction: along ? 'inline' : 'block',
          // A tile is no smaller than its padding in a browser, however low its lane.
          laneSize: lengths === 'px' ? int(90, 240) : `max(90px, ${written(random, int(90, 240), 'group')})`,
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
          target: lengths === 'px' ? target : `max(90px, ${written(random, target, 'group')})`,
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
          inlineSize: size(180, 420),
          blockSize: size(160, 420),
          strip: size(24, 90),
          open: pick(['first', 'last']),
        },
        band,
        'band',
      );
    default:
      if (kind === 'fluid' && lengths !== 'px')
        return setOfKind('fluid', { min: size(90, 280), max: pick([null, 2, 5]) }, band, 'band');
      return setArrangement(
        {
          autoRows: pick(
            lengths === 'px' ? ['120px', 'minmax(90px, auto)'] : ['9cqi', 'clamp(90px, 12vw, 160px)', '7rem'],
          ),
        },
        band,
        'band',
      );
  }
}

const TRACKS = ['20cqi', 'minmax(8rem, 25vw)', 'clamp(90px, 22cqi, 300px)', 'minmax(min(30%, 9rem), 2fr)'];

/** Lengths that follow the page: in a group no shares, since nobody knows of what they are. */
type Lengths = 'px' | 'page' | 'group';

/** A length of about so many px on a page of 1280. */
function written({ pick, next }: Random, px: number, lengths: Lengths): string {
  const cqi = Number((px / 12.8).toFixed(2));
  return pick([
    `${px / 16}rem`,
    `${cqi}cqi`,
    `${cqi}vw`,
    `clamp(${Math.round(px / 3)}px, ${Number((cqi * (0.6 + next())).toFixed(2))}vw, ${Math.round(px * 1.5)}px)`,
    `calc(${Math.round(px / 2)}px + ${Number((cqi / 2).toFixed(2))}cqi)`,
    `max(${Math.round(px / 2)}px, min(${cqi}cqi, 2rem))`,
    ...(lengths === 'page' ? [`${cqi}%`, `calc(${cqi}% - 1px)`] : []),
  ]);
}

/** Gaps, padding and sizes that are written otherwise than in px. */
function writtenFrame(random: Random, band: number, lengths: Lengths): Command[] {
  const { chance, int, pick } = random;
  if (lengths === 'px') return [];
  // A tile is no smaller than its padding in a browser, so a group has little of it.
  const side = () => written(random, lengths === 'group' ? int(2, 8) : int(4, 40), lengths);
  return [
    setArrangement(
      {
        columnGap: written(random, lengths === 'group' ? int(2, 10) : int(2, 30), lengths),
        rowGap: written(random, int(2, 30), 'group'),
        ...(chance(0.6) && {
          padding: { blockStart: side(), inlineEnd: side(), blockEnd: side(), inlineStart: side() },
        }),
        ...(lengths === 'page' &&
          chance(0.4) && { maxInlineSize: pick(['90%', 'min(1100px, 94vw)', 'calc(100% - 4rem)', '70rem']) }),
        ...(chance(0.2) && { height: { kind: 'fixed', px: pick(['40rem', 'calc(300px + 30vw)']) } }),
      },
      band,
      'band',
    ),
  ];
}

function arranged(random: Random, band: number, lengths: Lengths): Command[] {
  const { pick, int, chance } = random;
  const kind = pick(KINDS);
  const side = () => pick([0, 8, 24]);
  return [
    setKind(kind, band, 'band'),
    settings(random, kind, band, lengths),
    ...(lengths !== 'px' && kind === 'bento'
      ? [setTrack({ axis: 'column', index: 0, size: pick(TRACKS), band, setFor: 'band' })]
      : []),
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
    ...(lengths !== 'group' && chance(0.3)
      ? [
          setArrangement(
            { padding: { blockStart: side(), inlineEnd: side(), blockEnd: side(), inlineStart: side() } },
            band,
            'band',
          ),
        ]
      : []),
    ...writtenFrame(random, band, lengths),
  ];
}

/** A collection made from one that is there: kinds by band, groups of other kinds, spans, breaks, order. */
export function randomCollection(
  start: CollectionDocument,
  seed: number,
  lengths: 'px' | 'written' = 'px',
): CollectionDocument {
  const random = seeded(seed);
  const { pick, int, chance } = random;
  const bands = Array.from({ length: start.bands.length + 1 }, (_, k) => k);
  const commands: Command[] = bands
    .filter((band) => band === 0 || chance(0.5))
    .flatMap((band) => arranged(random, band, lengths === 'px' ? 'px' : 'page'));
  const ids = [...start.order];
  if (chance(0.6)) {
    const from = int(0, ids.length - 4);
    const inside = ids.slice(from, from + int(2, 4));
    const inGroup = (command: Command) => onLevel('g', command);
    commands.push(
      groupTiles(inside, 'g', 0),
      setSpan({ tiles: ['g'], band: 0, setFor: 'all', columnSpan: int(1, 3), rowSpan: int(1, 3) }),
      ...arranged(random, 0, lengths === 'px' ? 'px' : 'group').map(inGroup),
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
        ...(lengths === 'px' ? [] : [() => ownLengths(random, id, band)]),
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
  const withJoined = outside.reduce(
    (document, id) => (chance(0.2) ? run(document, joined(id, pick(outside))) : document),
    all,
  );
  const whole = outside.reduce(
    (document, id) => (chance(0.35) ? composed(random, document, id).reduce(run, document) : document),
    withJoined,
  );
  return run(whole, withIcons(seeded(seed + 7001)));
}

/** Rows of icons in lines of their own that run over their cards, as many as there may be, or none. */
const withIcons =
  ({ pick, int, chance }: Random): Command =>
  (draft) => {
    const drawn = Object.values(draft.icons ?? {});
    for (const tile of Object.values(draft.tiles)) {
      if (tile.kind !== 'card') continue;
      tile.parts = tile.parts.map((part) => {
        if (!('icons' in part) || chance(0.2)) return part;
        const more = Array.from({ length: chance(0.6) && drawn.length > 0 ? int(1, 14) : 0 }, () => {
          const { id, name } = pick(drawn);
          return { icon: id, picture: null, label: name, address: '' };
        });
        const { line: _, ...rest } = part;
        const line = pick([undefined, 'centred', 'scrolling'] as const);
        return {
          ...rest,
          icons: [...part.icons, ...more].slice(0, LIMITS.icons),
          size: int(12, 64),
          showLabels: chance(0.3),
          ...(line && { line }),
        };
      });
    }
  };

/** A card composed anew: parts more, parts hidden, in lines with others, aligned by themselves. */
function composed(random: Random, { tiles }: CollectionDocument, id: string): Command[] {
  const { pick, int, chance } = random;
  const tile = tiles[id];
  if (tile?.kind !== 'card') return [];
  const more = Array.from({ length: int(0, 3) }, () =>
    addPart([id], pick(partKinds()).name, chance(0.5) ? pick(tile.parts).id : undefined),
  );
  const placed = tile.parts.flatMap((part) => [
    ...(chance(0.2) ? [placePart([id], part.id, { hidden: true })] : []),
    ...(chance(0.35) ? [placePart([id], part.id, { beside: true })] : []),
    ...(chance(0.3)
      ? [placePart([id], part.id, { align: pick(['start', 'center', 'end', 'stretch'] as const) })]
      : []),
    ...(chance(0.2) ? [movePart([id], part.id, int(-2, 2))] : []),
  ]);
  return [...more, ...placed, ...(chance(0.15) ? [becomeComposition([id], pick(compositions()).name)] : [])];
}

/** A tile of a size of its own, or with padding and type that follow the page. */
function ownLengths(random: Random, id: string, band: number): Command {
  const { pick, int } = random;
  const fit = {
    inline: pick(['start', 'center', 'end'] as const),
    block: pick(['center', 'stretch'] as const),
  };
  return pick<() => Command>([
    () => setFit([id], { ...fit, inlineSize: pick(['70%', '20cqi', 'min(100%, 12rem)']) }, band, 'band'),
    () => setFit([id], { ...fit, block: 'end', inlineSize: null, blockSize: '6rem' }, band, 'band'),
    () => setLook([id], { padding: written(random, int(4, 30), 'group'), gap: '1cqi' }),
    () => setLook([id], { headingSize: 'clamp(1rem, 0.6rem + 2vw, 3rem)', bodySize: '1.1rem' }),
  ])();
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
