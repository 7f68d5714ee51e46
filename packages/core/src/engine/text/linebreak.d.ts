/** Only what is used of the package, which ships no types. */
declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { readonly position: number; readonly required?: boolean } | null;
  }
}
