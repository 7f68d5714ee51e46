import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** What this checkout keeps for itself and git ignores: the cluster, locks, stamps. */
export const own = join(root, '.noria');
mkdirSync(own, { recursive: true });
