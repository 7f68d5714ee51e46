import fc from 'fast-check';
import { addTile, setCollectionLook, setLook } from '../edit/commands/tiles.js';
import { change, type Command } from '../edit/patch/change.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { groupTiles } from '../edit/commands/groups.js';
import { setArrangement } from '../edit/commands/arrangement.js';
import { setFit, setHidden, setLayer, setOrder, setPin, setSpan } from '../edit/commands/place.js';
import { setKind, setOfKind } from '../edit/commands/kinds.js';
import { setQueries } from '../edit/commands/needs.js';
import { ANY_FAN } from '../arrangements/fan/values.js';
import { hold } from './held.js';
import { partKindOf } from '../parts/index.js';
import type { CollectionDocument, PartName } from '../document/types.js';

const IDS = ['t1', 't2', 't3', 't4', 't5', 't6', 't7', 't8'];
const WORDS = [
  'Hut four',
  'Open all winter, key with the warden',
  'Bring bread, a spoon and a blanket of your own',
];

const word = fc.constantFrom(...WORDS);
const some = fc.subarray(IDS, { minLength: 1, maxLength: 3 });
const band = fc.constantFrom(0, 1);
const px = fc.constantFrom(0, 3, 12, 30);
/** None so narrow that a tile is no wider than its padding. */
const track = fc.constantFrom('1fr', '2fr', '110px', 'minmax(60px, 1fr)', 'minmax(90px, 2fr)');
const span = fc.integer({ min: 1, max: 3 });
const lie = fc.constantFrom('start' as const, 'center' as const, 'end' as const, 'stretch' as const);

/** Parts that cards hold in any order, which is none of a composition. */
const MIXED = ['eyebrow', 'heading', 'text', 'figure', 'label', 'quote', 'source', 'action'] as const;
const setParts =
  (id: string, kinds: readonly PartName[], words: string): Command =>
  (draft) => {
    const tile = draft.tiles[id];
    if (tile?.kind !== 'card') return;
    tile.parts = kinds.map((kind) => ({
      id: kind,
      kind,
      ...partKindOf({ kind }).empty,
      words,
    })) as typeof tile.parts;
  };

const tile = (id: string) =>
  fc.oneof(
    word.map((heading): Command[] => [addTile('text', id), hold([id], { heading, text: WORDS[2] ?? '' })]),
    word.map((quote): Command[] => [addTile('quote', id), hold([id], { quote, source: 'Guest book' })]),
    fc.constant<Command[]>([addTile('stat', id), hold([id], { figure: '184', label: 'beds' })]),
    word.map((words): Command[] => [addTile('action', id), hold([id], { action: { words } })]),
    fc
      .tuple(word, fc.shuffledSubarray([...MIXED], { minLength: 2 }))
      .map(([words, kinds]): Command[] => [addTile('text', id), setParts(id, kinds, words)]),
  );

const placed: fc.Arbitrary<Command> = fc.oneof(
  fc
    .tuple(some, band, span, span)
    .map(([tiles, at, columnSpan, rowSpan]) =>
      setSpan({ tiles, band: at, setFor: 'band', columnSpan, rowSpan }),
    ),
  fc
    .tuple(fc.constantFrom(...IDS), band, span, span)
    .map(([id, at, column, row]) => setPin([id], at, { column, row })),
  fc
    .tuple(some, band, lie, lie)
    .map(([tiles, at, inline, block]) => setFit(tiles, { inline, block }, at, 'band')),
  fc
    .tuple(some, band, fc.integer({ min: -1, max: 2 }))
    .map(([ids, at, layer]) => setLayer(ids, layer, at, 'band')),
  fc
    .tuple(some, band, fc.integer({ min: -2, max: 2 }))
    .map(([ids, at, order]) => setOrder(ids, order, at, 'band')),
  fc.tuple(some, band).map(([ids, at]) => setHidden(ids, true, at, 'band')),
  fc.tuple(some, fc.constantFrom(0, 3, 12)).map(([ids, padding]) => setLook(ids, { padding })),
);

const arranged: fc.Arbitrary<Command> = fc
  .record({
    columns: fc.array(track, { minLength: 1, maxLength: 3 }),
    autoRows: fc.constantFrom('auto', '80px', 'minmax(70px, auto)'),
    columnGap: px,
    rowGap: px,
    flow: fc.constantFrom('dense' as const, 'sparse' as const),
    padding: fc.record({ blockStart: px, inlineEnd: px, blockEnd: px, inlineStart: px }),
    maxInlineSize: fc.constantFrom(null, 700),
  })
  .chain((values) => band.map((at) => setArrangement(values, at, 'band')));

const kind = fc.tuple(fc.constantFrom('bento' as const, 'fluid' as const, 'fan' as const), band);

/** Any collection of eight tiles with words, in kinds that need no picture, with two bands, perhaps a group. */
export const anyCollection: fc.Arbitrary<CollectionDocument> = fc
  .record({
    tiles: fc.tuple(...IDS.map(tile)),
    arranged: fc.array(arranged, { minLength: 1, maxLength: 3 }),
    kinds: fc.array(kind, { maxLength: 2 }),
    placed: fc.array(placed, { maxLength: 6 }),
    grouped: fc.option(fc.subarray(IDS, { minLength: 2, maxLength: 4 }), { nil: undefined }),
    queries: fc.constantFrom('container' as const, 'media' as const),
  })
  .map(({ tiles, arranged: arrangements, kinds, placed: places, grouped, queries }) => {
    const fan = { ...ANY_FAN, inlineSize: 210, blockSize: 180, strip: 40 };
    const commands = [
      ...tiles.flat(),
      setQueries(queries),
      setCollectionLook({ tilePadding: 6 }),
      ...arrangements,
      ...places,
      ...(grouped ? [groupTiles(grouped, 'g', 0)] : []),
      setOfKind('fan', fan, 0, 'all'),
      ...kinds.map(([of, at]) => setKind(of, at, 'band')),
    ];
    const start: CollectionDocument = {
      ...emptyDocument('Any'),
      bands: [{ id: 'narrow', below: 560, arrangement: {}, tiles: {} }],
    };
    return commands.reduce<CollectionDocument>((document, each) => change(document, each).document, start);
  });
