import { strFromU8, unzipSync } from 'fflate';
import type { Scope } from '../db';
import { conflict, invalid } from '../http/problems';
import {
  FORMAT,
  HOUSEHOLD,
  manifest,
  MANIFEST,
  SETTINGS,
  sha256,
  tableFile,
  type Manifest,
} from './format';
import { backupTables, newestMigration, type BackupTable } from './tables';

/** Unpacked; more would be no household. */
const LARGEST_BYTES = 1024 * 1024 * 1024;
/** Made with every household, and replaced by those of the backup. */
const AT_FIRST = 'moments';

/**
 * Put a backup into a household that holds nothing yet: all of it, or nothing.
 * @returns rows by table
 * @throws ProblemError 422 for a file that is no backup, was changed, or comes from a newer version; 409
 *   where the household holds records, or those of the backup are on this server already
 */
export async function restoreBackup(
  scope: Scope,
  zip: Uint8Array,
): Promise<Record<string, number>> {
  const { files, contents } = unpack(zip);
  return scope.atomically(async (inside) => {
    await inside.lock('restore');
    const tables = await backupTables(inside);
    await assertFits(inside, contents, tables);
    await assertEmpty(inside, tables);
    await inside.rows(`DELETE FROM ${AT_FIRST} WHERE household_id = :household RETURNING id`);
    const restored: Record<string, number> = {};
    for (const table of tables) {
      const lines = linesOf(files, table.name);
      if (lines.length === 0) continue;
      if (table.name === 'stock_events') await takeBackFromLots(inside, lines);
      await fill(inside, table, lines);
      restored[table.name] = lines.length;
    }
    await restoreSettings(inside, strFromU8(files[HOUSEHOLD]!));
    return restored;
  });
}

function unpack(zip: Uint8Array): { files: Record<string, Uint8Array>; contents: Manifest } {
  let files: Record<string, Uint8Array>;
  let size = 0;
  try {
    files = unzipSync(zip, {
      filter: ({ originalSize }) => {
        size += originalSize;
        return size <= LARGEST_BYTES;
      },
    });
  } catch {
    throw invalid('base64', 'this is not a zip file that was made here; choose a backup');
  }
  const packed = files[MANIFEST];
  const read = packed ? manifest.safeParse(parse(strFromU8(packed))) : null;
  if (!read?.success || !files[HOUSEHOLD]) {
    throw invalid('base64', 'this zip is not a backup of Open Larder; choose another file');
  }
  for (const [name, { sha256: expected }] of Object.entries(read.data.files)) {
    const bytes = files[name];
    if (!bytes || sha256(bytes) !== expected) {
      throw invalid(
        'base64',
        `«${name}» in this backup is missing or was changed; take another one`,
      );
    }
  }
  const unknown = Object.keys(files).find((name) => name !== MANIFEST && !read.data.files[name]);
  if (unknown) throw invalid('base64', `«${unknown}» does not belong into a backup`);
  return { files, contents: read.data };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

async function assertFits(
  scope: Scope,
  { format, migration, files }: Manifest,
  tables: readonly BackupTable[],
): Promise<void> {
  if (format > FORMAT || migration > (await newestMigration(scope))) {
    throw invalid('base64', 'this backup was made by a newer version; update this server first');
  }
  const known = new Set(tables.map(({ name }) => tableFile(name)));
  const unknown = Object.keys(files).find((name) => name.startsWith('tables/') && !known.has(name));
  if (unknown) throw invalid('base64', `«${unknown}» in this backup is not known here`);
}

async function assertEmpty(scope: Scope, tables: readonly BackupTable[]): Promise<void> {
  if (await holdsRecords(scope, tables)) {
    throw conflict(
      'This household holds records already. Start another household, and restore the backup there.',
    );
  }
}

/** Whether a household has more than the moments that each begins with. */
export async function holdsRecords(
  scope: Scope,
  tables?: readonly BackupTable[],
): Promise<boolean> {
  for (const { name } of tables ?? (await backupTables(scope))) {
    if (name === AT_FIRST) continue;
    const held = await scope.rows(
      `SELECT 1 AS one FROM ${name} WHERE household_id = :household LIMIT 1`,
    );
    if (held.length > 0) return true;
  }
  return false;
}

function linesOf(files: Record<string, Uint8Array>, table: string): string[] {
  const packed = files[tableFile(table)];
  const lines = packed ? strFromU8(packed).split('\n').filter(Boolean) : [];
  return table === 'photos' ? lines.map((line) => withPicture(line, files)) : lines;
}

function withPicture(line: string, files: Record<string, Uint8Array>): string {
  const row = parse(line) as { picture?: unknown } | null;
  const name = typeof row?.picture === 'string' ? row.picture : '';
  const bytes = files[name];
  if (!bytes) return line;
  const kind = name.slice(name.lastIndexOf('.') + 1);
  const picture = `data:image/${kind};base64,${Buffer.from(bytes).toString('base64')}`;
  return JSON.stringify({ ...row, picture });
}

/** Columns that the backup does not have take what a new row has. */
async function fill(scope: Scope, table: BackupTable, lines: readonly string[]): Promise<void> {
  const first = parse(lines[0]!) as Record<string, unknown> | null;
  const columns = table.columns.filter((column) => first && column in first);
  const unknown = Object.keys(first ?? {}).find((column) => !table.columns.includes(column));
  if (!first || unknown) {
    throw invalid('base64', `${table.name} in this backup has a column that is not known here`);
  }
  const list = columns.map((column) => `"${column}"`).join(', ');
  try {
    await scope.rows(
      `INSERT INTO ${table.name} (household_id, ${list})
       SELECT CAST(:household AS uuid), ${list}
         FROM jsonb_populate_recordset(NULL::${table.name}, CAST(:rows AS jsonb))
       RETURNING 1 AS one`,
      { rows: `[${lines.join(',')}]` },
    );
  } catch (error) {
    const { code } = (error as { parent?: { code?: string } }).parent ?? {};
    if (code !== '23505') throw error;
    throw conflict(
      'The records of this backup are on this server already, in another household. Restore it on another server.',
    );
  }
}

/** Each movement changes what its lot holds as it is written: the lots begin before the first of them. */
async function takeBackFromLots(scope: Scope, lines: readonly string[]): Promise<void> {
  await scope.rows(
    `UPDATE lots SET remaining_g = remaining_g - moved.sum
       FROM (SELECT lot_id, sum(delta_g) AS sum
               FROM jsonb_populate_recordset(NULL::stock_events, CAST(:rows AS jsonb))
              GROUP BY lot_id) moved
      WHERE lots.id = moved.lot_id AND lots.household_id = :household
      RETURNING lots.id`,
    { rows: `[${lines.join(',')}]` },
  );
}

async function restoreSettings(scope: Scope, json: string): Promise<void> {
  await scope.rows(
    `UPDATE households h SET ${SETTINGS.map((name) => `${name} = s.${name}`).join(', ')},
            version = h.version + 1
       FROM jsonb_populate_record(NULL::households, CAST(:json AS jsonb)) s
      WHERE h.id = :household RETURNING h.id`,
    { json },
  );
}
