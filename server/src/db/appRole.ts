import { createHmac } from 'node:crypto';
import pg from 'pg';
import type { Sequelize } from 'sequelize';

/**
 * The address at which requests are answered: as a role that owns nothing, may change no table, and
 * sees the rows of one household at a time. It is made where it is missing.
 * @param owner connected as the owner of the tables, after the migrations
 * @param url   the owner’s address; the role’s password follows from its password
 */
export async function asAppRole(owner: Sequelize, url: string): Promise<string> {
  const address = new URL(url);
  // Of each owner one: two houses on one machine do not share it.
  const name = `${decodeURIComponent(address.username)}_app`;
  const role = `"${name.replaceAll('"', '""')}"`;
  const password = createHmac('sha256', address.password).update(name).digest('hex');
  address.username = encodeURIComponent(name);
  address.password = password;
  // Two servers that start together may both make it: the second finds it there.
  await owner.query(`
    DO $$ BEGIN
      CREATE ROLE ${role} LOGIN PASSWORD '${password}';
    EXCEPTION WHEN duplicate_object OR unique_violation THEN NULL;
    END $$`);
  await owner.query(`
    SELECT pg_advisory_lock(${GRANTING});
    GRANT USAGE ON SCHEMA public TO ${role};
    GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO ${role};
    GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO ${role};
    GRANT EXECUTE ON FUNCTION erase_household() TO ${role};
    REVOKE INSERT, UPDATE, DELETE ON migrations FROM ${role};
    SELECT pg_advisory_unlock(${GRANTING});`);
  if (!(await letsIn(address.href))) {
    await owner.query(`ALTER ROLE ${role} PASSWORD '${password}'`);
  }
  return address.href;
}

/** Arbitrary but fixed: two servers that start together grant one after the other. */
const GRANTING = 741_093_123;

async function letsIn(url: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
    return true;
  } catch {
    return false;
  } finally {
    await client.end().catch(() => undefined);
  }
}
