type Answer = (asked: { readonly url: URL; readonly body: unknown }) => unknown;

/** As much of a response as is looked at; jsdom has none. */
const response = (status: number, said: unknown) => ({
  ok: status < 400,
  status,
  json: () => Promise.resolve(said),
});

class Refused {
  constructor(
    readonly status: number,
    readonly detail: string,
  ) {}
}

/** An answer that says why nothing was done. */
export const refused = (status: number, detail: string) => new Refused(status, detail);

/**
 * A server that answers some requests, each by its method and path in the workspace, `DELETE /collections/a`.
 * What it does not know it says with 404; an answer that is an error is a server that does not answer.
 * @returns what was asked, in order
 */
export function fakeServer(answers: Readonly<Record<string, Answer>>): string[] {
  const asked: string[] = [];
  const fetch = async (address: string, { method = 'GET', body }: RequestInit = {}) => {
    const url = new URL(address, 'http://noria.test');
    const path = url.pathname.replace(/^\/api\/workspaces\/[^/]*/, '');
    asked.push(`${method} ${path}${url.search}`);
    const answer = answers[`${method} ${path}`];
    if (!answer) return response(404, { detail: 'There is nothing like that.' });
    const said = await answer({ url, body: typeof body === 'string' ? JSON.parse(body) : body });
    if (said instanceof Error) throw said;
    return said instanceof Refused ? response(said.status, { detail: said.detail }) : response(200, said);
  };
  Object.assign(globalThis, { fetch });
  return asked;
}
