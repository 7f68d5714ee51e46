/** An answer of the server that is no success, in the words of its problem description (RFC 9457). */
export class ServerProblem extends Error {
  override readonly name = 'ServerProblem';
  constructor(
    readonly status: number,
    message: string,
    readonly kind: string,
    readonly currentRevision: number | null,
  ) {
    super(message);
  }
}

/** The server did not answer at all. */
export class ServerAway extends Error {
  override readonly name = 'ServerAway';
  constructor() {
    super('The server does not answer.');
  }
}

/** Whether the same request may be answered otherwise in a while: nothing was decided. */
export const isPassing = (error: unknown): boolean =>
  error instanceof ServerAway ||
  (error instanceof ServerProblem && (error.status >= 500 || error.status === 429));

/** @throws ServerAway when there is no answer or a gateway's, ServerProblem when the answer is an error */
export async function request(path: string, init: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { ...init, signal: init.signal ?? AbortSignal.timeout(30_000) });
  } catch {
    throw new ServerAway();
  }
  if (response.ok) return response;
  const problem = (await response.json().catch(() => null)) as Record<string, unknown> | null;
  if (!problem && response.status >= 502) throw new ServerAway();
  const detail =
    typeof problem?.detail === 'string' ? problem.detail : `The server answered ${response.status}.`;
  const kind = typeof problem?.type === 'string' ? problem.type.replace('urn:noria:problem:', '') : '';
  const current = typeof problem?.currentRevision === 'number' ? problem.currentRevision : null;
  throw new ServerProblem(response.status, detail, kind, current);
}
