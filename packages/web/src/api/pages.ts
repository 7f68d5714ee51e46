/** A page of a list; `next` asks for the one after it. */
export interface Page<Entry> {
  readonly entries: readonly Entry[];
  readonly next: string | null;
}

/** The entries of all pages. */
export async function everyPage<Entry>(
  read: (after: string | null) => Promise<Page<Entry>>,
): Promise<Entry[]> {
  const all: Entry[] = [];
  let after: string | null = null;
  do {
    const page: Page<Entry> = await read(after);
    all.push(...page.entries);
    after = page.next;
  } while (after !== null);
  return all;
}

/** The entries of pages that were read one after the other; what moved meanwhile comes once. */
export const entriesOf = <Entry>(pages: readonly Page<Entry>[], idOf: (entry: Entry) => string): Entry[] => [
  ...new Map(pages.flatMap(({ entries }) => entries).map((entry) => [idOf(entry), entry])).values(),
];
