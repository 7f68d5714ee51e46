/** Only what is used of the package, which ships no types. */
declare module 'wawoff2' {
  const wawoff2: { decompress(file: Uint8Array): Promise<Uint8Array> };
  export default wawoff2;
}
