/** A name as it is compared with others: small letters and digits, without a file's extension. */
export const plainName = (text: string) =>
  text
    .toLowerCase()
    .replace(/\.[a-z0-9]{2,4}$/, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
