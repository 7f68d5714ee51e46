/** A name as it is compared with others: small letters and digits, without a file's extension. */
export const plainName = (text: string) =>
  text
    .toLowerCase()
    .replace(/\.[a-z0-9]{2,4}$/, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** The picture that a cell of a table names by its name, its file or its address, as a plain name; empty: none. */
export function pictureIn(cell: string): string {
  const path = cell.trim().replace(/[?#].*$/, '');
  const file = path.split(/[\\/]/).findLast((segment) => segment !== '') ?? '';
  try {
    return plainName(decodeURIComponent(file));
  } catch {
    // A name may hold a per cent sign of its own.
    return plainName(file);
  }
}
