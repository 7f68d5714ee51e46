/** What was found in a page that could not be taken over, with its line. */
export interface Report {
  readonly line: number;
  /** The linked style sheet that the line is in; left out for the page itself. */
  readonly sheet?: string;
  readonly message: string;
  /** It was taken, as something else; left out: it was left out. */
  readonly isChanged?: true;
}
