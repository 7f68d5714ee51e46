import type { EntityManager } from 'typeorm';

/** Which of a collection's columns says how many tiles show what. */
export type UsesColumn = 'picture_uses' | 'film_uses' | 'font_uses';

/** How many tiles of a workspace show each of these pictures or films. */
export async function useCounts(
  manager: EntityManager,
  workspaceId: string,
  column: UsesColumn,
  hashes: readonly string[],
): Promise<Map<string, number>> {
  if (hashes.length === 0) return new Map();
  const rows = await manager.query<{ key: string; uses: string }[]>(
    `SELECT key, sum(value::integer) AS uses
     FROM collection, jsonb_each_text(${column})
     WHERE workspace_id = $1 AND key = ANY($2) GROUP BY key`,
    [workspaceId, hashes],
  );
  return new Map(rows.map(({ key, uses }) => [key, Number(uses)]));
}

/** The collections of a workspace in which tiles show a picture or a film. */
export const collectionsUsing = (
  manager: EntityManager,
  workspaceId: string,
  column: UsesColumn,
  hash: string,
): Promise<{ id: string; name: string; revision: number }[]> =>
  manager.query(
    `SELECT id, name, revision FROM collection WHERE workspace_id = $1 AND jsonb_exists(${column}, $2) ORDER BY name`,
    [workspaceId, hash],
  );
