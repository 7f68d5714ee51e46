const CODES: ReadonlySet<string> = new Set([
  // Node's, of sockets.
  ...['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH'],
  // PostgreSQL's (appendix A): it goes, comes, or has no connection left.
  ...['57P01', '57P02', '57P03', '53300', '08000', '08001', '08003', '08004', '08006'],
]);
// The last is TypeORM’s, when a connection broke in the middle of a transaction.
const WORDS =
  /connection terminated|timeout exceeded when trying to connect|connection ended|not queryable|query read timeout|query runner was already released/i;

/** Whether an error says that the database is not there, rather than that a statement is wrong. */
export function isDatabaseAway(error: unknown): boolean {
  const { code, message } = said(error);
  return CODES.has(code) || WORDS.test(message);
}

/** Whether the database had too much to do: a statement or a wait for a lock took too long, or two waited for each other. */
export const isDatabaseBusy = (error: unknown): boolean =>
  ['57014', '55P03', '40P01', '40001', '25P03'].includes(said(error).code);

function said(error: unknown): { readonly code: string; readonly message: string } {
  const { code, message } = (typeof error === 'object' && error !== null ? error : {}) as Record<
    string,
    unknown
  >;
  return { code: typeof code === 'string' ? code : '', message: typeof message === 'string' ? message : '' };
}
