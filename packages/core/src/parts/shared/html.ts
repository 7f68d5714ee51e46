/** An element with what is in it; what is empty is left out. */
export const element = (
  name: string,
  attributes: string,
  inside: readonly (string | false | undefined)[],
): string => `<${name}${attributes && ` ${attributes}`}>${inside.filter(Boolean).join('')}</${name}>`;

/** Attributes that an element has, between blanks. */
export const attributes = (...all: readonly (string | false | undefined)[]): string =>
  all.filter(Boolean).join(' ');
