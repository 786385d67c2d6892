import { strToU8, zipSync, type Zippable } from 'fflate';
import type { Scope } from '../db';
import { FORMAT, HOUSEHOLD, MANIFEST, sha256, tableFile, type Manifest } from './format';
import { backupTables, newestMigration, type BackupTable } from './tables';

/** The same for every file: a backup of the same records has the same bytes. */
const MTIME = new Date(1980, 0, 1);

/** «data:image/jpeg;base64,…» */
const PICTURE = /^data:image\/(\w+);base64,(.+)$/s;

/**
 * All records of a household as one zip, as they are at one moment: a table a file, a row a line as
 * PostgreSQL writes it, what was undone too; photos as pictures; a manifest with the digest of each.
 */
export const writeBackup = (scope: Scope): Promise<Uint8Array> => scope.snapshot(backupOf);

/** The same within a snapshot that was begun already. */
export async function backupOf(inside: Scope): Promise<Uint8Array> {
  const [settings] = await inside.rows<{ json: string }>(
    `SELECT (to_jsonb(h) - 'id' - 'key' - 'version')::text AS json
         FROM households h WHERE id = :household`,
  );
  const files: Record<string, Uint8Array> = { [HOUSEHOLD]: strToU8(settings!.json) };
  const rows: Record<string, number> = {};
  for (const table of await backupTables(inside)) {
    const lines = await linesOf(inside, table);
    const written = table.name === 'photos' ? takePicturesOut(lines, files) : lines;
    rows[tableFile(table.name)] = lines.length;
    files[tableFile(table.name)] = strToU8(written.map((line) => `${line}\n`).join(''));
  }
  const contents: Manifest = {
    format: FORMAT,
    migration: await newestMigration(inside),
    files: Object.fromEntries(
      Object.entries(files).map(([name, bytes]) => [
        name,
        { sha256: sha256(bytes), bytes: bytes.length, rows: rows[name] },
      ]),
    ),
  };
  files[MANIFEST] = strToU8(`${JSON.stringify(contents, null, 1)}\n`);
  const zippable: Zippable = Object.fromEntries(
    Object.entries(files).map(([name, bytes]) => [
      name,
      // Pictures are packed already.
      [bytes, { mtime: MTIME, level: name.startsWith('photos/') ? 0 : 6 }],
    ]),
  );
  return zipSync(zippable);
}

async function linesOf(scope: Scope, { name, order }: BackupTable): Promise<string[]> {
  const rows = await scope.rows<{ json: string }>(
    `SELECT (to_jsonb(t) - 'household_id' - 'seq')::text AS json
       FROM ${name} t WHERE household_id = :household
      ORDER BY ${order.map((column) => `t.${column}`).join(', ')}`,
  );
  return rows.map(({ json }) => json);
}

/** Photos become files of their own; in their rows stands where. */
function takePicturesOut(lines: readonly string[], files: Record<string, Uint8Array>): string[] {
  return lines.map((line) => {
    const row = JSON.parse(line) as { id: string; picture: string };
    const [, kind, base64] = PICTURE.exec(row.picture) ?? [];
    if (!kind || !base64) return line;
    const name = `photos/${row.id}.${kind}`;
    files[name] = new Uint8Array(Buffer.from(base64, 'base64'));
    return JSON.stringify({ ...row, picture: name });
  });
}
