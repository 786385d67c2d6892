import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { keep, root } from './places.mjs';
import { isPostgresUp, portFrom, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { giveUp, say } from './say.mjs';
import { setUp } from './setup.mjs';

const HELP = `npm run backup                  a zip of each household, in .open-larder/backups
npm run backup -- FOLDER        the same, there
npm run restore -- FILE         a household of its own from such a zip

Stop the product first: it starts its database again.`;

const [act, path] = process.argv.slice(2);
if (path === '--help' || (act === 'restore' && path === undefined)) {
  say(HELP);
  process.exit(0);
}
const target = path === undefined ? join(keep, 'backups') : resolve(path);
if (act === 'restore' && !existsSync(target)) giveUp(`«${target}» is not there.`);
if (act === 'backup') mkdirSync(target, { recursive: true });

await setUp({ browser: false });
if (await isPostgresUp('db')) {
  giveUp('The product is running. Save a backup in its settings, or stop it first.');
}
const postgres = await startPostgres('db', portFrom('OPEN_LARDER_DB_PORT', 54310));
try {
  await run(
    process.execPath,
    ['--import', 'tsx', join('server', 'src', 'backup', 'cli.ts'), act, target],
    { cwd: root, env: { OPEN_LARDER_DB_URL: await postgres.ensure('larder') } },
  );
} catch {
  process.exitCode = 1;
} finally {
  await postgres.stop();
}
