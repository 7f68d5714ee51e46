import { lengthWords } from '../../ui/words';

/** “5”, or “at least 180 px” where as many come as fit. */
export function countWords(value: unknown): string {
  const { count, min } = value as { readonly count: number | null; readonly min: number | string };
  return count === null ? `at least ${lengthWords(min)}` : String(count);
}
