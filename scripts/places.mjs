import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** What this checkout keeps for itself: built pages, logs, the database of an ordinary user. */
export const keep = join(root, '.open-larder');
mkdirSync(keep, { recursive: true });

export const isRoot = process.getuid?.() === 0;

/**
 * PostgreSQL refuses to run as root, and its own user may not be able to look into root's folders:
 * then the data lie under /var/lib, apart for each checkout.
 */
export function databaseFolder(name) {
  if (!isRoot) return join(keep, name);
  const checkout = createHash('sha256').update(root).digest('hex').slice(0, 12);
  return join('/var/lib/open-larder', checkout, name);
}
