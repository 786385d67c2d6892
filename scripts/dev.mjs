import { spawn } from 'node:child_process';
import { copyFileSync } from 'node:fs';
import { join } from 'node:path';
import { portFrom, portIsFree, startPostgres } from './postgres.mjs';
import { giveUp, say } from './say.mjs';
import { setUp } from './setup.mjs';
import { root } from './places.mjs';
import { webDir } from './web.mjs';

/**
 * For who works on the product: the server starts again when a file of it changes, and the app is
 * bundled as it is edited. The app's own address passes what it asks of the server on to it.
 */
const port = portFrom('OPEN_LARDER_PORT', 4310);
const webPort = portFrom('OPEN_LARDER_WEB_PORT', 4311);
const dbPort = portFrom('OPEN_LARDER_DB_PORT', 54310);
for (const wanted of [port, webPort]) {
  if (!(await portIsFree(wanted))) giveUp(`Port ${wanted} is in use: stop what uses it first.`);
}

await setUp({ browser: false });
const database = await startPostgres('db', dbPort);
copyFileSync(
  join(root, 'node_modules', 'highs', 'build', 'highs.wasm'),
  join(root, 'app', 'public', 'highs.wasm'),
);

const start = (command, args, cwd, env) =>
  spawn(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
  });

// By itself, not through npx: what is stopped is then the bundler itself.
const expo = join(root, 'node_modules', '.bin', 'expo');

const running = [
  start(process.execPath, ['--watch', '--import', 'tsx', join('server', 'src', 'main.ts')], root, {
    OPEN_LARDER_PORT: String(port),
    OPEN_LARDER_DB_URL: await database.ensure('larder'),
    OPEN_LARDER_WEB_DIR: webDir,
    OPEN_LARDER_HOUSEHOLD: 'demo',
    OPEN_LARDER_LOG: process.env.OPEN_LARDER_LOG ?? 'info',
  }),
  start(process.execPath, [expo, 'start', '--web', '--port', String(webPort)], join(root, 'app'), {
    EXPO_NO_TELEMETRY: '1',
    EXPO_OFFLINE: '1',
    EXPO_NO_TYPESCRIPT_SETUP: '1',
    BROWSER: 'none',
    OPEN_LARDER_API: `http://127.0.0.1:${port}`,
  }),
];
say(`\nThe app, as it is edited: http://localhost:${webPort}\nCtrl-C stops it all.`);

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  for (const child of running) child.kill('SIGTERM');
  await database.stop();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());
for (const child of running) child.on('exit', () => void stop());
