import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { axesCss, featuresCss } from '../document/font.js';
import { bringing } from '../edit/commands/families.js';
import { setLook } from '../edit/commands/tiles.js';
import { tilesToText, tilesFromText } from '../edit/commands/copies.js';
import { change } from '../edit/patch/change.js';
import { writePage } from '../export/page/writePage.js';
import { summaryOf } from '../analysis/summary.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { FAMILIES, familyCss, familiesOf, fontsOf, hasFamily, SYSTEM_STACKS } from './families.js';
import type { CollectionDocument, OwnFamily } from '../document/types.js';

const FJELL: OwnFamily = {
  name: 'Fjell',
  faces: [
    {
      hash: 'a'.repeat(64),
      file: 'fjell-aaaaaaaa.ttf',
      mediaType: 'font/ttf',
      style: 'normal',
      weight: [400, 700],
      axes: [{ tag: 'wdth', min: 75, max: 125, default: 100 }],
      features: ['tnum'],
    },
  ],
};
const measurer = LETTERS;
const cards: CollectionDocument = sample([
  [1, 1],
  [1, 1],
]);
const [first = '', second = ''] = cards.order;
const inFjell = change(cards, bringing(FJELL, setLook([first], { headingFamily: 'Fjell' }))).document;

describe('type families', () => {
  test('twelve or more ship, of every sort, with files that say what they are for', () => {
    expect(Object.keys(FAMILIES).length).toBeGreaterThanOrEqual(12);
    expect(new Set(Object.values(FAMILIES).map(({ fallback }) => fallback)).size).toBe(4);
    for (const { files, weights } of Object.values(FAMILIES)) {
      expect(weights).toMatch(/^\d{3} \d{3,4}$/);
      expect(files.map(({ unicodeRange }) => unicodeRange).every((range) => range.startsWith('U+'))).toBe(
        true,
      );
    }
  });

  test('of the device are keywords in CSS, and nothing of them goes out with the page', () => {
    expect(familyCss('System serif')).toBe('ui-serif, Georgia, serif');
    const document = change(cards, setLook([first], { headingFamily: 'System mono' })).document;
    const { files, assets } = writePage(document, measurer);
    expect(files['style.css']).toContain(`font-family: ${SYSTEM_STACKS['System mono']};`);
    expect(files['style.css']).not.toContain('"System mono"');
    expect(assets.some((asset) => 'family' in asset && asset.family === 'System mono')).toBe(false);
  });

  test('that were added come with the collection, its copies and its summary', () => {
    expect(inFjell.families).toEqual({ Fjell: FJELL });
    expect(checkDocument(JSON.parse(JSON.stringify(inFjell))).problems).toEqual([]);
    expect(familiesOf(inFjell)).toContain('Fjell');
    const taken = tilesFromText(tilesToText(inFjell, [first]));
    expect(taken?.families).toEqual({ Fjell: FJELL });
    expect(tilesFromText(tilesToText(inFjell, [second]))?.families).toEqual({});
    expect(summaryOf(inFjell).families).toEqual({ Fjell: FJELL });
  });

  test('that nobody has are refused, and so are names that would end a rule', () => {
    const said = (look: object) =>
      checkDocument({ ...cards, look: { ...cards.look, ...look } }).problems.map(({ message }) => message);
    expect(said({ bodyFamily: 'Nobody Sans' })[0]).toMatch(/There is no type family “Nobody Sans”/);
    expect(said({ bodyFamily: 'X"; } body { display: none' })).not.toEqual([]);
    const lost = { ...inFjell, families: {} };
    expect(checkDocument(lost).document).toBeNull();
    expect(hasFamily(lost, 'Fjell')).toBe(false);
  });

  test('that were added go out as WOFF2 with the letters of the page', () => {
    const { files, assets } = writePage(inFjell, measurer);
    const own = assets.find((asset) => asset.kind === 'ownFont');
    expect(own).toMatchObject({ path: 'fonts/fjell-aaaaaaaa.woff2', face: FJELL.faces[0] });
    expect(own && 'characters' in own && own.characters).toContain('é');
    const css = files['style.css'] ?? '';
    expect(css).toContain('src: url("fonts/fjell-aaaaaaaa.woff2") format("woff2");');
    expect(css).toContain('font-weight: 400 700;');
  });
});

describe('features, axes and line breaks', () => {
  const set = {
    bodyFeatures: ['tnum', 'zero'],
    headingAxes: { wdth: 80 },
    headingWrap: 'balance',
  } as const;
  const dressed = change(inFjell, setLook([first], set)).document;

  test('are written as CSS has them', () => {
    expect([featuresCss(['tnum', 'zero']), featuresCss([])]).toEqual(['"tnum", "zero"', 'normal']);
    expect([axesCss({ wdth: 80, GRAD: -20 }), axesCss({})]).toEqual(['"wdth" 80, "GRAD" -20', 'normal']);
    const css = writePage(dressed, measurer).files['style.css'] ?? '';
    expect(css).toContain('font-feature-settings: "tnum", "zero";');
    expect(css).toContain('font-variation-settings: "wdth" 80;');
    expect(css).toContain('text-wrap-style: balance;');
  });

  test('of the body are not those of the heading in it', () => {
    const css = writePage(dressed, measurer).files['style.css'] ?? '';
    // The tile itself goes by its class, and what is in it by what that is.
    const heading = css.slice(css.search(/\n\.[a-z0-9-]+ > [^{]*\{[^}]*font-feature-settings/));
    expect(heading.slice(0, heading.indexOf('}'))).toContain('font-feature-settings: normal;');
  });

  test('are what words are measured with', () => {
    const seen = new Set<string>();
    const listening = {
      ...measurer,
      width: (...[text, font]: Parameters<typeof measurer.width>) => {
        seen.add(`${font.families[0]}|${font.features}|${font.axes}`);
        return measurer.width(text, font);
      },
    };
    const high = { ...dressed, arrangement: { ...dressed.arrangement, autoRows: 'auto' } };
    layoutCollection(high, 800, { measurer: listening });
    expect(seen).toContain('Fjell|normal|"wdth" 80');
    const wanted = fontsOf(dressed).map(({ family, features, axes }) => `${family}|${features}|${axes}`);
    // Whatever words are measured in was asked for before.
    expect([...seen].filter((each) => !wanted.includes(each))).toEqual([]);
  });

  test('that no font could have are refused', () => {
    const { problems } = checkDocument({
      ...cards,
      look: { ...cards.look },
      tiles: {
        ...cards.tiles,
        [first]: {
          ...cards.tiles[first],
          look: { ...cards.tiles[first]?.look, headingFeatures: ['tn"m'], bodyAxes: { width: 3 } },
        },
      },
    });
    expect(problems.map(({ path }) => path)).toEqual(
      expect.arrayContaining([
        `/tiles/${first}/look/headingFeatures/0`,
        `/tiles/${first}/look/bodyAxes/width`,
      ]),
    );
  });
});
