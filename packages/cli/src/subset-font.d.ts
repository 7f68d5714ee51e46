/** Only what is used of the package, which ships no types. */
declare module 'subset-font' {
  export default function subsetFont(
    font: Buffer,
    characters: string,
    options: { readonly targetFormat: 'woff2' },
  ): Promise<Buffer>;
}
