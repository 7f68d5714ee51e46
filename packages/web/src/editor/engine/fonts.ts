import bricolageLatin from '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2?url';
import bricolageLatinExt from '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-ext-wght-normal.woff2?url';
import hankenLatin from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2?url';
import hankenLatinExt from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-ext-wght-normal.woff2?url';
import martianLatin from '@fontsource-variable/martian-mono/files/martian-mono-latin-wght-normal.woff2?url';
import martianLatinExt from '@fontsource-variable/martian-mono/files/martian-mono-latin-ext-wght-normal.woff2?url';

const ADDRESSES: Readonly<Record<string, string>> = {
  'bricolage-grotesque-latin-wght-normal.woff2': bricolageLatin,
  'bricolage-grotesque-latin-ext-wght-normal.woff2': bricolageLatinExt,
  'hanken-grotesk-latin-wght-normal.woff2': hankenLatin,
  'hanken-grotesk-latin-ext-wght-normal.woff2': hankenLatinExt,
  'martian-mono-latin-wght-normal.woff2': martianLatin,
  'martian-mono-latin-ext-wght-normal.woff2': martianLatinExt,
};

/** Where a font file of core's list is served from. */
export function fontAddress(file: string): string {
  const address = ADDRESSES[file];
  if (!address) throw new Error(`The font file ${file} does not ship with Noria.`);
  return address;
}
