import { ruleCss } from '../../engine/css/rule.js';
import { familiesOf, shippedFamily, type Family, type FontFile } from '../../parts/families.js';
import type { CollectionDocument, FamilyName, FontFace } from '../../document/types.js';
import type { PageAsset } from './assets.js';

/** A font that was added goes out as WOFF2, with the letters that the page has use for. */
const pathOf = ({ file }: FontFace) => `fonts/${file.replace(/\.\w+$/, '')}.woff2`;

const weightsOf = ([from, to]: FontFace['weight']) => (from === to ? String(from) : `${from} ${to}`);

/** The elements that browsers write in italics. */
const ITALIC = /<(em|i|cite|dfn|var|address)\b/;

const isIn = (unicodeRange: string) => {
  const ranges = [...unicodeRange.matchAll(/U\+([\dA-F]+)(?:-([\dA-F]+))?/g)].map(
    ([, from = '', to = from]) => [parseInt(from, 16), parseInt(to, 16)] as const,
  );
  return (code: number) => ranges.some(([from, to]) => code >= from && code <= to);
};

/** The files of a family that some words are written with: of each style that is used, those whose letters occur. */
function filesFor({ files }: Family, html: string): readonly FontFile[] {
  const codes = [...new Set(charactersOf(html))].map((letter) => letter.codePointAt(0) ?? 0);
  return files.filter(({ style, unicodeRange }) => {
    if (style === 'italic' && !ITALIC.test(html)) return false;
    return codes.some(isIn(unicodeRange));
  });
}

/** A file of a family, as a page asks for it. */
export interface Face {
  readonly family: FamilyName;
  readonly style: string;
  readonly weight: string;
  readonly path: string;
  /** Of the letters in it; left out where it is the only one. */
  readonly unicodeRange?: string;
}

/** The files of a family for a page with some words, which are HTML; none where the device has it. */
export function fontFaces({ families }: CollectionDocument, name: FamilyName, html: string): Face[] {
  const shipped = shippedFamily(name);
  const used = shipped && filesFor(shipped, html);
  const faces =
    used?.map(({ file, style, unicodeRange }) => ({
      style,
      weight: shipped?.weights ?? 'normal',
      path: `fonts/${file}`,
      // A file that is alone needs no range to be chosen by.
      ...(used.filter((each) => each.style === style).length > 1 && { unicodeRange }),
    })) ??
    (families?.[name]?.faces ?? []).map((face) => ({
      style: face.style,
      weight: weightsOf(face.weight),
      path: pathOf(face),
    }));
  return faces.map((face) => ({ family: name, ...face }));
}

/** Its `@font-face` rule. */
export const fontFaceCss = ({ family, style, weight, path, unicodeRange }: Face): string =>
  ruleCss({
    selector: '@font-face',
    declarations: {
      'font-family': `"${family}"`,
      'font-style': style,
      'font-weight': weight,
      'font-display': 'swap',
      src: `url("${path}") format("woff2")`,
      ...(unicodeRange !== undefined && { 'unicode-range': unicodeRange }),
    },
  });

/** A style sheet with its fonts last: they are the least worth reading. */
export const withFaces = (css: string, faces: readonly Face[]): string =>
  `${[css, ...faces.map(fontFaceCss)].join('\n\n')}\n`;

/** What a page is never without: the letters of Western European languages, whatever comes to be written. */
const ALWAYS = Array.from({ length: 0xff - 0x20 + 1 }, (_, k) => String.fromCodePoint(0x20 + k)).join('');

/** Every character of some words, each once, in capitals and small letters too. */
export const charactersOf = (words: string): string =>
  [...new Set(`${ALWAYS}‘’“”–—…•·€™${words}${words.toUpperCase()}${words.toLowerCase()}`)].sort().join('');

/** The font files of a page that shows some words, which are HTML. */
export function fontAssets(document: CollectionDocument, html: string): PageAsset[] {
  const characters = charactersOf(html);
  return familiesOf(document).flatMap((family): PageAsset[] => {
    const shipped = shippedFamily(family);
    if (shipped)
      return filesFor(shipped, html).map(({ file }) => ({
        path: `fonts/${file}`,
        kind: 'font',
        family,
        file,
      }));
    return (document.families?.[family]?.faces ?? []).map((face) => ({
      path: pathOf(face),
      kind: 'ownFont',
      face,
      characters,
    }));
  });
}
