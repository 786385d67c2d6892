import { readFile, writeFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import type { Sequelize } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { localDay, runningClock } from '../clock';
import { connect, migrate, Registry, Scope } from '../db';
import { ensureHousehold } from '../demo';
import { createHousehold } from '../household/create';
import { ProblemError } from '../http/problems';
import { backupName } from './daily';
import { holdsRecords, restoreBackup } from './restore';
import { writeBackup } from './write';

const line = (text: string) => process.stdout.write(`${text}\n`);

/**
 * `backup FOLDER` writes one file for each household of the database; `restore FILE` puts one back as a
 * household of its own. The database is that of OPEN_LARDER_DB_URL.
 */
async function main([act, path]: string[]): Promise<void> {
  const db = connect(process.env.OPEN_LARDER_DB_URL ?? '', { patient: true });
  try {
    await migrate(db);
    const registry = new Registry(db);
    if (act === 'backup' && path) await backup(registry, (id) => new Scope(db, id), path);
    else if (act === 'restore' && path)
      await restore(db, registry, (id) => new Scope(db, id), path);
    else throw new Error('say «backup FOLDER» or «restore FILE»');
  } finally {
    await db.close();
  }
}

type ScopeOf = (householdId: string) => Scope;

async function backup(registry: Registry, scopeOf: ScopeOf, folder: string): Promise<void> {
  const rows = await registry.rows<{ id: string; name: string; timeZone: string }>(
    'SELECT id, name, time_zone FROM households ORDER BY id',
  );
  for (const { id, name, timeZone } of rows) {
    const day = localDay(runningClock(undefined).now(), timeZone);
    const file = resolve(folder, backupName(day, id));
    const zip = await writeBackup(scopeOf(id));
    await writeFile(file, zip, { mode: 0o600 });
    line(`${name}: ${file}, ${Math.ceil(zip.length / 1024)} kB`);
  }
}

async function restore(
  db: Sequelize,
  registry: Registry,
  scopeOf: ScopeOf,
  file: string,
): Promise<void> {
  const zip = new Uint8Array(await readFile(file));
  // The household that a server begins with, while it is empty; otherwise one of its own.
  const first = await ensureHousehold(db, loadCatalogue(), {
    key: 'empty',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    now: runningClock(undefined).now(),
  });
  const isOwn = await holdsRecords(scopeOf(first));
  const id = isOwn ? uuidv7() : first;
  if (isOwn) await createHousehold(registry, { id, name: 'Restored', like: first });
  try {
    const rows = await restoreBackup(scopeOf(id), zip);
    if (isOwn) await letOwnersIn(registry, id);
    const [{ name } = { name: '' }] = await registry.rows<{ name: string }>(
      'SELECT name FROM households WHERE id = :id',
      { id },
    );
    const sum = Object.values(rows).reduce((all, count) => all + count, 0);
    line(`${name}: ${sum} rows in ${Object.keys(rows).length} tables`);
  } catch (error) {
    if (isOwn) {
      await registry.rows('DELETE FROM moments WHERE household_id = :id RETURNING id', { id });
      await registry.rows('DELETE FROM households WHERE id = :id RETURNING id', { id });
    }
    throw error;
  }
}

/** Who keeps a household is not in its backup: every owner on this server may enter it. */
const letOwnersIn = (registry: Registry, id: string) =>
  registry.rows(
    `INSERT INTO memberships (household_id, person_id, role, since)
     SELECT DISTINCT CAST(:id AS uuid), person_id, 'owner', now() FROM memberships
      WHERE role = 'owner' RETURNING role`,
    { id },
  );

main(process.argv.slice(2)).catch((error: unknown) => {
  const said = error instanceof ProblemError ? error.problem.detail : (error as Error).message;
  process.stderr.write(`${said}\n`);
  process.exit(1);
});
