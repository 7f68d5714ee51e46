import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../checkDocument.js';
import { broughtUp } from '../migrate.js';
import { fromVersion1, withMarkIds } from './version1.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { heldBy } from '../../testing/held.js';

const read = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'));
const place = { columnSpan: 1, rowSpan: 1, pin: null };
const look = { fill: '#ffffff', ink: 'auto', spread: 'centre', align: 'centre' };
const fit = { inline: 'centre', block: 'fill', inlineSize: null, blockSize: null };
const badge = { words: 'New', inline: 'centre', block: 'start', fill: '#ffffff', ink: '#000000' };
const tile = (id: string, kind: string, content: object) => ({ id, name: id, kind, ...content, place, look });
const picture = {
  id: 'hut',
  name: 'Hut',
  file: 'hut.webp',
  hash: 'a'.repeat(64),
  mediaType: 'image/webp',
  inlineSize: 900,
  blockSize: 600,
  alternativeText: 'A hut',
};
const film = { ...picture, id: 'snow', file: 'snow.webm', mediaType: 'video/webm', duration: 4 };
const point = { x: 0.2, y: 0.8 };

const { background: _, ...restOfLook } = emptyDocument('Huts').look;
const shade = { x: 0, y: 4, blur: 9, spread: 0, colour: '#000000', strength: 0.4 };
const gradient = {
  kind: 'linear',
  angle: 0,
  stops: [
    { id: 'a', colour: '#000000', at: 0, strength: 0.5 },
    { id: 'b', colour: '#ffffff', at: 1 },
  ],
};

/** A collection of the first version that says everything that became otherwise. */
const first = {
  ...emptyDocument('Huts'),
  formatVersion: 1,
  look: { ...restOfLook, ground: '#102030' },
  accepted: [{ kind: 'empty', tiles: [] }],
  arrangement: {
    ...emptyDocument('').arrangement,
    kind: 'fluid',
    fluid: { repeat: 'auto-fit', minimum: 200, most: 4, spansFrom: null },
    masonry: { count: null, minimum: 180, most: null, order: 'kept', tolerance: 0 },
    gallery: { target: 200, least: 100, most: 300, lastRow: 'justified' },
    mosaic: { count: 4, minimum: 96, most: 12, shareOfLarge: 0.3, mostCrop: 0.4, seed: 1 },
  },
  bands: [
    {
      id: 'narrow',
      below: 600,
      arrangement: { fluid: { repeat: 'auto-fill', minimum: 120, most: 2, spansFrom: null } },
      tiles: { text: { columnSpan: 1, fit } },
      groups: { group: { gallery: { target: 90, least: 50, most: 200, lastRow: 'justified' } } },
      looks: { text: { spread: 'centre' } },
    },
  ],
  tiles: {
    text: {
      ...tile('text', 'text', { eyebrow: 'Winter', heading: 'Huts', headingLevel: 3, body: 'One\n\nTwo' }),
      badges: [badge],
      look: {
        ...look,
        fill: gradient,
        border: { width: 2, paint: gradient },
        outerShade: shade,
        innerShade: shade,
        direction: 'along',
        textDirection: 'block',
        headingTracking: 0.1,
        bodyTracking: 0.2,
      },
      motion: { opens: 'rise', points: 'near' },
      neverBelow: 120,
      withNext: true,
      link: '#there',
      note: 'kept as it is',
    },
    stat: tile('stat', 'stat', { figure: '184', label: 'beds' }),
    quote: tile('quote', 'quote', { words: 'Snow.', source: 'Mira' }),
    marks: tile('marks', 'marks', {
      marks: [{ icon: 'soup', picture: null, label: 'Soup', address: '' }],
      markSize: 30,
      showLabels: false,
    }),
    action: tile('action', 'action', { label: 'Ask', address: '#ask' }),
    picture: tile('picture', 'picture', {
      picture: 'hut',
      focalPoint: point,
      caption: 'Dusk',
      shows: 'contain',
      zoom: 2,
      position: point,
      tint: { colour: '#000000', strength: 0.2 },
      enlarges: 'huts',
    }),
    film: tile('film', 'film', {
      film: 'snow',
      poster: 'hut',
      focalPoint: point,
      caption: '',
      plays: 'controls',
    }),
    group: {
      ...tile('group', 'group', { order: ['inner'] }),
      arrangement: {
        ...emptyDocument('').arrangement,
        mosaic: { count: 2, minimum: 50, most: null, shareOfLarge: 0, mostCrop: 0, seed: 2 },
      },
    },
    inner: {
      ...tile('inner', 'stat', { figure: '1', label: '' }),
      place: { ...place, fit },
      recipe: { recipe: 'note', variant: 'deep', part: 'card' },
    },
  },
  order: ['text', 'stat', 'quote', 'marks', 'action', 'picture', 'film', 'group'],
  pictures: { hut: picture },
  films: { snow: film },
  icons: { soup: { id: 'soup', name: 'Soup', shapes: [['path', { d: 'M0 0' }]] } },
  recipes: {
    note: {
      id: 'note',
      name: 'Note',
      root: 'card',
      parts: { card: tile('card', 'stat', { figure: '7', label: 'nights' }) },
      slots: [
        { name: 'Figure', part: 'card', field: 'figure' },
        { name: 'Label', part: 'card', field: 'label' },
      ],
      variants: [{ id: 'deep', name: 'Deep', looks: { card: { spread: 'centre' } } }],
    },
  },
  tables: {
    huts: {
      id: 'huts',
      name: 'Huts',
      recipe: 'note',
      columns: ['no'],
      key: 'no',
      mapping: { Figure: 'no' },
      sort: null,
      filter: null,
      order: ['1'],
      rows: { 1: { no: '1' } },
      tiles: {},
      aside: {
        1: [
          {
            ...tile('old', 'stat', { figure: '1', label: '' }),
            recipe: { recipe: 'note', variant: null, part: 'card' },
          },
        ],
      },
    },
  },
};

describe('a collection of format version 1', () => {
  const { document, problems } = checkDocument(first);

  test('opens, and what it said is there in the words of today', () => {
    // What was not known then is kept, and said again.
    expect(problems.map(({ path, severity }) => [path, severity])).toEqual([['/tiles/text/note', 'notice']]);
    expect(document?.formatVersion).toBe(3);
    expect(document?.tiles.text).toMatchObject({
      kind: 'card',
      note: 'kept as it is',
      link: '#there',
      look: {
        textColour: 'auto',
        spread: 'center',
        align: 'center',
        fill: { stops: [{ opacity: 0.5 }, { colour: '#ffffff' }] },
        border: { paint: { stops: [{ opacity: 0.5 }, {}] } },
        outerShadow: { blur: 9, opacity: 0.4 },
        innerShadow: { opacity: 0.4 },
        direction: 'row',
        writingDirection: 'vertical',
        headingLetterSpacing: 0.1,
        bodyLetterSpacing: 0.2,
      },
      badges: [{ inline: 'center', block: 'start', textColour: '#000000' }],
      motion: { entrance: 'rise', hover: 'zoom' },
      minimumWidth: 120,
      keepWithNext: true,
    });
    expect(document).toMatchObject({
      look: { background: '#102030' },
      ignored: [{ kind: 'empty', tiles: [] }],
    });
    expect(document?.arrangement).toMatchObject({
      fluid: { min: 200, max: 4 },
      masonry: { min: 180, max: null, order: 'in-turn' },
      rowHeights: { min: 100, max: 300, lastRow: 'fill-width' },
      mosaic: { min: 96, max: 12, maxCrop: 0.4 },
    });
    expect(document?.bands[0]).toMatchObject({
      arrangement: { fluid: { min: 120, max: 2 } },
      tiles: { text: { fit: { inline: 'center', block: 'stretch' } } },
      groups: { group: { rowHeights: { min: 50, max: 200 } } },
      looks: { text: { spread: 'center' } },
    });
    expect(document?.tiles.inner?.recipe).toEqual({ recipe: 'note', variant: 'deep', tile: 'card' });
    expect(document?.recipes?.note).toMatchObject({
      slots: [
        { name: 'Figure', tile: 'card', part: 'figure', field: 'words' },
        { name: 'Label', tile: 'card', part: 'label', field: 'words' },
      ],
      tiles: { card: { kind: 'card' } },
      variants: [{ looks: { card: { spread: 'center' } } }],
    });
    expect(document?.tables?.huts?.aside[1]?.[0]).toMatchObject({ kind: 'card', recipe: { tile: 'card' } });
  });

  test.each([
    ['text', { eyebrow: 'Winter', heading: { words: 'Huts', level: 3 }, text: 'One\n\nTwo' }],
    ['stat', { figure: '184', label: 'beds' }],
    ['quote', { quote: 'Snow.', source: 'Mira' }],
    ['action', { action: { words: 'Ask', address: '#ask' } }],
    ['marks', { icons: { icons: [{ label: 'Soup', id: 'icon-1' }], size: 30, showLabels: false } }],
    [
      'picture',
      {
        picture: {
          picture: 'hut',
          caption: 'Dusk',
          fit: 'contain',
          zoom: 2,
          enlarges: 'huts',
          tint: { opacity: 0.2 },
        },
      },
    ],
    ['film', { film: { film: 'snow', poster: 'hut', playback: 'controls', focalPoint: point } }],
    ['group', {}],
  ])('a %s becomes its parts', (id, held) => {
    expect(heldBy(document?.tiles[id])).toMatchObject(held);
    expect(Object.keys(heldBy(document?.tiles[id]))).toEqual(Object.keys(held));
  });

  test.each(['winter-at-the-huts', 'hut-four-its-own-page'])(
    'the demo %s of then is the one of today',
    (name) => {
      const then = checkDocument(read(join(import.meta.dirname, 'stored', `${name}.json`)));
      const now = checkDocument(read(join(import.meta.dirname, '../../../../../demo', `${name}.noria.json`)));
      // Pictures keep their colours in a few px since then.
      for (const picture of Object.values(now.document?.pictures ?? {}))
        Reflect.deleteProperty(picture, 'raster');
      expect(then).toEqual(now);
      expect(then.problems).toEqual([]);
    },
  );

  test('is left as it is by the present version, and by one that nobody knows', () => {
    expect(broughtUp(document)).toBe(document);
    for (const other of [null, 3, [], {}, { formatVersion: 'x' }, { formatVersion: 99 }])
      expect(broughtUp(other)).toBe(other);
    expect(broughtUp(first, 1)).toBe(first);
  });

  test('whatever is in it, nothing throws, and the check says what is wrong', () => {
    const fields = ['tiles', 'bands', 'recipes', 'tables', 'arrangement', 'order', 'look'];
    fc.assert(
      fc.property(fc.constantFrom(...fields), fc.jsonValue({ maxDepth: 5 }), (field, value) => {
        const broken = { ...first, [field]: value };
        const said = checkDocument(broken);
        expect(said.document === null).toBe(said.problems.some(({ severity }) => severity === 'error'));
      }),
      { numRuns: 300 },
    );
  });

  test('a name such as __proto__ is still none', () => {
    const hostile = JSON.parse('{"__proto__": {"kind": "text", "heading": "x"}}') as object;
    const made = fromVersion1({ ...first, tiles: hostile });
    expect(Object.keys(made.tiles as object)).toEqual(['__proto__']);
    expect(checkDocument({ ...first, tiles: hostile }).document).toBeNull();
  });
});

describe('icons of rows that had no ids', () => {
  test('get them as they did then: the same for everybody, none twice', () => {
    const mark = (id?: string) => ({ icon: null, picture: null, label: '', address: '', ...(id && { id }) });
    const row = (...ids: (string | undefined)[]) => ({
      ...first,
      tiles: { m: tile('m', 'marks', { marks: ids.map(mark), markSize: 28, showLabels: true }) },
    });
    const idsOf = (document: unknown) =>
      (document as { tiles: { m: { marks: { id: string }[] } } }).tiles.m.marks.map(({ id }) => id);
    expect(idsOf(withMarkIds(row(undefined, undefined)))).toEqual(['icon-1', 'icon-2']);
    expect(idsOf(withMarkIds(row('icon-1', undefined, 'icon-1')))).toEqual(['icon-1', 'icon-2', 'icon-3']);
    expect(withMarkIds(null)).toBeNull();
  });
});
