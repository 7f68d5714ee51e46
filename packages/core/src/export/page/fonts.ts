import { ruleCss } from '../../engine/css/rule.js';
import { familiesOf, shippedFamily } from '../../parts/families.js';
import type { CollectionDocument, FamilyName, FontFace } from '../../document/types.js';
import type { PageAsset } from './assets.js';

/** A font that was added goes out as WOFF2, with the letters that the page has use for. */
const pathOf = ({ file }: FontFace) => `fonts/${file.replace(/\.\w+$/, '')}.woff2`;

const weightsOf = ([from, to]: FontFace['weight']) => (from === to ? String(from) : `${from} ${to}`);

/** The `@font-face` rules of a family; none where the device has it. */
export function fontFaces({ families }: CollectionDocument, name: FamilyName): string[] {
  const faces =
    shippedFamily(name)?.files.map(({ file, style, unicodeRange }) => ({
      style,
      weight: shippedFamily(name)?.weights ?? 'normal',
      path: `fonts/${file}`,
      range: { 'unicode-range': unicodeRange },
    })) ??
    (families?.[name]?.faces ?? []).map((face) => ({
      style: face.style,
      weight: weightsOf(face.weight),
      path: pathOf(face),
      range: {},
    }));
  return faces.map(({ style, weight, path, range }) =>
    ruleCss({
      selector: '@font-face',
      declarations: {
        'font-family': `"${name}"`,
        'font-style': style,
        'font-weight': weight,
        'font-display': 'swap',
        src: `url("${path}") format("woff2")`,
        ...range,
      },
    }),
  );
}

/** What a page is never without: the letters of Western European languages, whatever comes to be written. */
const ALWAYS = Array.from({ length: 0xff - 0x20 + 1 }, (_, k) => String.fromCodePoint(0x20 + k)).join('');

/** Every character of some words, each once, in capitals and small letters too. */
export const charactersOf = (words: string): string =>
  [...new Set(`${ALWAYS}‘’“”–—…•·€™${words}${words.toUpperCase()}${words.toLowerCase()}`)].sort().join('');

/** The font files of a page that shows some words. */
export function fontAssets(document: CollectionDocument, words: string): PageAsset[] {
  const characters = charactersOf(words);
  return familiesOf(document).flatMap((family): PageAsset[] => {
    const shipped = shippedFamily(family);
    if (shipped)
      return shipped.files.map(({ file }) => ({ path: `fonts/${file}`, kind: 'font', family, file }));
    return (document.families?.[family]?.faces ?? []).map((face) => ({
      path: pathOf(face),
      kind: 'ownFont',
      face,
      characters,
    }));
  });
}
