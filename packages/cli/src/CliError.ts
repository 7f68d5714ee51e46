/** An error for the person at the command line: said in a sentence, without a stack. */
export class CliError extends Error {}

/** What `noria` ends with: documented in its help. */
export const STATUS = { done: 0, found: 1, failed: 2 } as const;

const SYSTEM: Readonly<Record<string, string>> = {
  ENOENT: 'it is not there',
  EACCES: 'you may not',
  EPERM: 'you may not',
  EISDIR: 'it is a folder',
  ENOTDIR: 'a part of its path is a file',
  EEXIST: 'a file of that name is in the way',
  ENOSPC: 'the disk is full',
  EROFS: 'the disk can only be read',
  ENAMETOOLONG: 'its name is too long',
  EMFILE: 'too many files are open',
};

/** Why something failed, in words and without a stack. */
export function why(error: unknown): string {
  const { code, message } = Object(error) as Partial<NodeJS.ErrnoException>;
  return SYSTEM[code ?? ''] ?? message ?? String(error);
}

/** What is said of an error that ends the run. */
export function said(error: unknown): string {
  if (error instanceof CliError) return error.message;
  const { path } = Object(error) as Partial<NodeJS.ErrnoException>;
  if (path !== undefined) return `${path} can’t be used: ${why(error)}.`;
  return error instanceof RangeError ? error.message : `This should not happen: ${why(error)}`;
}
