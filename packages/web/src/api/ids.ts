/** A name as an id of the file format: small letters, digits and hyphens, a letter first. */
export const slugOf = (name: string, otherwise: string) =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-$/g, '')
    .slice(0, 50) || otherwise;

/** The id, or the first with a number behind it that is not taken. */
export function freeId(slug: string, taken: readonly string[]): string {
  const all = new Set(taken);
  let id = slug;
  for (let n = 2; all.has(id); n++) id = `${slug}-${n}`;
  return id;
}
