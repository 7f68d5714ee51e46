import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../../check/checkDocument.js';
import { withEntryIds } from '../../check/entryIds.js';
import { change, type Command } from '../patch/change.js';
import { joinDocuments } from '../join/join.js';
import { sample } from '../../testing/sample.js';
import { tilesFromText, tilesToText } from './copies.js';
import { setNamedLook, removeNamedLook } from './namedLooks.js';
import { followStyle, removeStyle, resetToStyle, setStyle, styleDifferences, styleLookOf } from './styles.js';
import { setLook } from './tiles.js';
import { washOf } from '../../look/named.js';
import type { CollectionDocument, Style } from '../../document/types.js';

const start = withEntryIds(
  sample([
    [1, 1],
    [1, 1],
    [2, 1],
  ]),
);
const after = (document: CollectionDocument, ...commands: readonly Command[]) =>
  commands.reduce((each, command) => change(each, command).document, document);
const look = (document: CollectionDocument, id: string) => document.tiles[id]?.look;

const calm: Style = {
  id: 'calm',
  name: 'Calm',
  look: { fill: '#dfe8e2', padding: 20, border: { width: 1, paint: '#9db0aa' }, bodySize: 17 },
};
const night: Style = { id: 'night', name: 'Night', look: { fill: '#17302d', radius: 26 } };

describe('a style', () => {
  const followed = after(start, setStyle(calm), followStyle(['t1', 't2'], 'calm'));

  test('is made of what a tile looks like, but for how its contents lie', () => {
    const from = after(start, setLook(['t1'], { padding: 12, direction: 'row', align: 'end' }));
    expect(styleLookOf(from.tiles.t1 as never)).toMatchObject({ padding: 12 });
    expect(Object.keys(styleLookOf(from.tiles.t1 as never))).not.toEqual(
      expect.arrayContaining(['direction']),
    );
  });

  test('dresses the tiles that follow it, and is one document with them', () => {
    expect(look(followed, 't1')).toMatchObject(calm.look);
    expect(look(followed, 't3')).toEqual(look(start, 't3'));
    expect(checkDocument(JSON.parse(JSON.stringify(followed))).problems).toEqual([]);
  });

  test('is changed once, and they all change, but for what is their own', () => {
    const own = after(followed, setLook(['t2'], { bodySize: 30 }));
    const { padding: _, ...less } = calm.look;
    const changed = after(own, setStyle({ ...calm, look: { ...less, fill: '#ffffff', radius: 4 } }));
    expect(look(changed, 't1')).toMatchObject({ fill: '#ffffff', radius: 4 });
    expect(look(changed, 't1')?.padding).toBeUndefined();
    expect(look(changed, 't2')).toMatchObject({ fill: '#ffffff', bodySize: 30 });
    expect(styleDifferences(changed.styles, changed.tiles.t2 as never)).toEqual(['bodySize']);
    expect(look(after(changed, resetToStyle(['t2'])), 't2')?.bodySize).toBe(17);
  });

  test('is exchanged for another: what only the first one set is let go of', () => {
    const other = after(followed, setStyle(night), followStyle(['t1'], 'night'));
    expect(look(other, 't1')).toMatchObject({ fill: '#17302d', radius: 26 });
    expect(look(other, 't1')?.border).toBeUndefined();
    expect(other.tiles.t1?.style).toBe('night');
    const back = after(other, followStyle(['t1'], 'calm'));
    expect(look(back, 't1')).toEqual(look(followed, 't1'));
  });

  test('is removed, or let go of, and the tiles look as they did', () => {
    const gone = after(followed, removeStyle('calm'));
    expect([gone.styles, gone.tiles.t1?.style]).toEqual([{}, undefined]);
    expect(look(gone, 't1')).toEqual(look(followed, 't1'));
    expect(after(followed, followStyle(['t1'], null)).tiles.t1).not.toHaveProperty('style');
  });

  test('that is not there is none', () => {
    const lost = { ...followed, styles: {} };
    expect(checkDocument(lost).problems).toEqual([]);
    expect(styleDifferences(lost.styles, lost.tiles.t1 as never)).toEqual([]);
  });

  test('goes along with tiles that are taken to another collection, with the names that it follows', () => {
    const named = after(
      followed,
      setNamedLook({ id: 'moss', name: 'Moss', kind: 'colour', value: '#5c7a4f' }),
      setStyle({ ...calm, look: { ...calm.look, fill: '{moss}' } }),
    );
    const taken = tilesFromText(tilesToText(named, ['t1']));
    expect(taken?.styles?.calm?.look.fill).toBe('{moss}');
    expect(Object.keys(taken?.namedLooks ?? {})).toEqual(['moss']);
  });

  test('that one side deletes and the other one uses is kept', () => {
    const ours = after(followed, removeStyle('calm'));
    const theirs = after(followed, followStyle(['t3'], 'calm'));
    const joined = joinDocuments({ base: followed, ours, theirs, otherwise: 'ours' });
    expect(joined.document.styles?.calm).toBeDefined();
    expect(checkDocument(joined.document).problems).toEqual([]);
  });

  test.each<[string, object]>([
    ['what it may not set', { look: { spread: 'end' } }],
    ['no name', { name: '' }],
    ['a look that is none', { look: { fill: 'moss' } }],
  ])('is checked: %s', (_, wrong) => {
    const { problems } = checkDocument({ ...followed, styles: { calm: { ...calm, ...wrong } } });
    expect(problems.length).toBeGreaterThan(0);
  });
});

describe('a wash', () => {
  const base = { id: 'base', name: 'Base', kind: 'colour', value: '#2f6d6a' } as const;
  const wash = { of: 'base', lightness: 0.93, chroma: 0.025, turn: 12 };
  const pale = { id: 'pale', name: 'Pale', kind: 'colour', value: washOf(base.value, wash), wash } as const;
  const paler = {
    ...pale,
    id: 'paler',
    name: 'Paler',
    value: washOf(pale.value, { ...wash, lightness: 0.97 }),
    wash: { ...wash, of: 'pale', lightness: 0.97 },
  } as const;
  const washed = after(start, setNamedLook(base), setNamedLook(pale), setNamedLook(paler));
  const value = (document: CollectionDocument, id: string) => document.namedLooks?.[id]?.value;

  test('follows its colour, and what is made of it as well', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (channels) => {
        const hex = `#${channels.toString(16).padStart(6, '0')}`;
        const next = after(washed, setNamedLook({ ...base, value: hex }));
        expect(value(next, 'pale')).toBe(washOf(hex, wash));
        expect(value(next, 'paler')).toBe(washOf(washOf(hex, wash), paler.wash));
      }),
      { numRuns: 40 },
    );
    expect(checkDocument(washed).problems).toEqual([]);
  });

  test('ends with a value of its own, and where its colour is removed', () => {
    const own = after(washed, setNamedLook({ ...pale, value: '#ffffff' }));
    expect(own.namedLooks?.pale).not.toHaveProperty('wash');
    const gone = after(washed, removeNamedLook('base'));
    expect(gone.namedLooks?.pale).toMatchObject({ value: pale.value });
    expect(gone.namedLooks?.pale).not.toHaveProperty('wash');
  });

  test('ends where washes are made of each other, as a file may say', () => {
    const circle = {
      ...washed,
      namedLooks: { ...washed.namedLooks, base: { ...base, wash: { ...wash, of: 'paler', turn: 90 } } },
    };
    const next = after(circle, setNamedLook({ ...base, value: '#a04020' }));
    expect(value(next, 'base')).toBe('#a04020');
    expect(value(next, 'pale')).toBe(washOf('#a04020', wash));
  });

  test('goes on with another lightness', () => {
    const lighter = { ...wash, lightness: 0.8 };
    const next = after(washed, setNamedLook({ ...pale, value: washOf(base.value, lighter), wash: lighter }));
    expect(next.namedLooks?.pale).toMatchObject({ wash: lighter });
  });
});
