import { request } from './problem';

let given: string | null = null;

/** Says which workspace it is where the address does not: in a worker. */
export const inWorkspace = (slug: string): void => {
  given = slug;
};

/** The workspace that the address names first: `/huts/collections/…`. */
export function workspace(): string {
  const { location } = globalThis as { readonly location?: Location };
  return given ?? decodeURIComponent(location?.pathname.split('/')[1] ?? '');
}

/** Where the server has what belongs to that workspace. */
export const workspacePath = (path: string): string =>
  `/api/workspaces/${encodeURIComponent(workspace())}/${path}`;

/** Views that had addresses of their own before workspaces came into them. */
const VIEWS = ['', 'collections', 'pictures', 'recipes'];

/**
 * Sees to it that the address names a workspace: one that names none leads to the first.
 * @throws ServerAway and ServerProblem as the asking does
 */
export async function enterWorkspace(): Promise<void> {
  if (!VIEWS.includes(workspace())) return;
  const all = (await (await request('/api/workspaces')).json()) as readonly { readonly slug: string }[];
  const [first] = all;
  if (!first) throw new Error('This server has no workspace yet. Restart the server to create one.');
  const { pathname, search, hash } = globalThis.location;
  globalThis.history.replaceState(
    null,
    '',
    `/${first.slug}${pathname === '/' ? '/' : pathname}${search}${hash}`,
  );
}
