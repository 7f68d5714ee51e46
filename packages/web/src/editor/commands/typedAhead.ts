let typed = '';

/** Keeps a letter for what was asked for and is still coming: the command list, or words on the stage. */
export const typeAhead = (letter: string): void => void (typed += letter);

/** What was typed before it came, once. */
export function takeTypedAhead(): string {
  const words = typed;
  typed = '';
  return words;
}
