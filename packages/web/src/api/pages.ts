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

/** The most that one page may hold. */
export const MOST_IN_A_PAGE = 200;

/** How many to ask for when a list of which so many are shown is read anew: what one looks at must stay. */
export const asManyAs = (shown: number, least: number) => Math.min(MOST_IN_A_PAGE, Math.max(least, shown));

/** A list with its next page behind it; what moved up meanwhile comes once. */
export function withNext<Entry>(
  before: Page<Entry> | null,
  page: Page<Entry>,
  idOf: (entry: Entry) => string,
): Page<Entry> {
  const known = new Set(before?.entries.map(idOf));
  const fresh = page.entries.filter((entry) => !known.has(idOf(entry)));
  return { entries: [...(before?.entries ?? []), ...fresh], next: page.next };
}

/** A list whose beginning was read anew; what was shown behind that stays. */
export function withBeginning<Entry>(
  before: Page<Entry> | null,
  page: Page<Entry>,
  idOf: (entry: Entry) => string,
): Page<Entry> {
  if (!before || before.entries.length <= page.entries.length || page.next === null) return page;
  const known = new Set(page.entries.map(idOf));
  const last = page.entries.at(-1);
  const at = before.entries.findIndex((entry) => last !== undefined && idOf(entry) === idOf(last));
  const rest = before.entries.slice(at + 1).filter((entry) => !known.has(idOf(entry)));
  return { entries: [...page.entries, ...rest], next: rest.length > 0 ? before.next : page.next };
}
