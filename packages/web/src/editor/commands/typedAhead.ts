let typed = '';

/** Keeps a letter for the command list, which was asked for and is still coming. */
export const typeAhead = (letter: string): void => void (typed += letter);

/** What was typed before the command list came, once. */
export function takeTypedAhead(): string {
  const words = typed;
  typed = '';
  return words;
}
