import { describe, expect, test } from '@jest/globals';
import { applyPatch } from '../../edit/patch/applyPatch.js';
import { contrastIn } from '../../look/textColour.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { cardWith } from '../../testing/held.js';
import { sample } from '../../testing/sample.js';
import { checkFit } from './checkFit.js';
import { contrastNeed } from './contrastNeed.js';
import { fixesFor } from './fixes.js';
import type { Card, CollectionDocument, TileLook } from '../../document/types.js';

const measurer = LETTERS;
const base = sample([[2, 1]]);
const heading = (look: Partial<TileLook> = {}): Card => {
  const card = cardWith('text', 't1', { heading: 'Snow', text: '' });
  return { ...card, look: { ...card.look, ...look } };
};
const need = (card: Card) => contrastNeed(base, card);

describe('the contrast that words need', () => {
  test('is less where all of them are large: 24 px, or 18.66 px where they are bold', () => {
    expect(need(heading({ headingSize: 24 }))).toBe(3);
    expect(need(heading({ headingSize: 23.9 }))).toBe(4.5);
    expect(need(heading({ headingSize: 19, headingWeight: 700 }))).toBe(3);
    expect(need(heading({ headingSize: 18, headingWeight: 700 }))).toBe(4.5);
    expect(need(heading({ headingSize: 19, headingWeight: 690 }))).toBe(4.5);
  });

  test('goes by the narrowest width where type grows, and by words that are not large', () => {
    const grows = { from: 20, to: 60, fromWidth: 360, toWidth: 1280 };
    expect(need(heading({ headingSize: grows }))).toBe(4.5);
    expect(need(heading({ headingSize: { ...grows, from: 24 } }))).toBe(3);
    const whole = cardWith('text', 't1', { heading: 'Snow', text: 'and a stove' });
    expect(need({ ...whole, look: { ...whole.look, headingSize: 40 } })).toBe(4.5);
    expect(need(cardWith('stat', 't1', { figure: '184', label: 'beds' }))).toBe(4.5);
  });
});

const with_ = (tile: Card, pictures: CollectionDocument['pictures'] = {}): CollectionDocument => ({
  ...base,
  pictures,
  tiles: { ...base.tiles, t1: { ...tile, place: { columnSpan: 6, rowSpan: 1, pin: null } } },
});
const faint = (document: CollectionDocument) => {
  const report = checkFit(document, { measurer, from: 1200, to: 1210 });
  return { report, finding: report.findings.find(({ kind }) => kind === 'faint') };
};

describe('faint words', () => {
  test('that are large are no finding from 3 : 1 on', () => {
    const grey = { fill: '#ffffff', textColour: '#8a8a8a' } as const;
    expect(faint(with_(heading({ ...grey, headingSize: 30 }))).finding).toBeUndefined();
    expect(faint(with_(heading({ ...grey, headingSize: 16 }))).finding).toBeDefined();
    expect(faint(with_(heading({ ...grey, headingSize: 30, textColour: '#c0c0c0' }))).finding).toBeDefined();
  });

  test('get fixes that reach what they need, on gradients and pictures', () => {
    const stops = [
      { at: 0, colour: '#ffffff' },
      { at: 1, colour: '#777777' },
    ];
    const picture = {
      id: 'snow',
      name: 'Snow',
      file: 'snow.webp',
      hash: 'c'.repeat(64),
      mediaType: 'image/webp' as const,
      inlineSize: 800,
      blockSize: 600,
      alternativeText: 'Snow',
      colours: ['#ffffff', '#111111', '#888888'],
    };
    const fills = [
      { kind: 'linear', angle: 90, stops },
      {
        kind: 'picture',
        picture: 'snow',
        focalPoint: { x: 0.5, y: 0.5 },
        tint: { colour: '#000000', opacity: 0 },
      },
    ] as const;
    for (const fill of fills) {
      const document = with_(
        heading({ fill: fill as TileLook['fill'], textColour: '#f4f4f4', headingSize: 16 }),
        fill.kind === 'picture' ? { snow: picture } : {},
      );
      const { report, finding } = faint(document);
      if (!finding) throw new Error('The words are faint.');
      const fixes = fixesFor(document, report, finding, { measurer, from: 1200, to: 1210 });
      expect(fixes.map(({ does }) => does)).toContain('A veil behind the words');
      for (const { patch, does } of fixes) {
        const after = applyPatch(document, patch);
        const tile = after.tiles.t1 as Card;
        expect([does, contrastIn(after, tile) >= contrastNeed(after, tile)]).toEqual([does, true]);
      }
    }
  });
});
