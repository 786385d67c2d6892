import { join } from 'node:path';
import { buildServer } from './build.mjs';
import { keep } from './places.mjs';
import { portIsFree, startPostgres } from './postgres.mjs';
import { giveUp } from './say.mjs';
import { startServer } from './server.mjs';
import { setUp } from './setup.mjs';
import { keepRunning } from './supervise.mjs';
import { buildWeb, webDir } from './web.mjs';

/**
 * Set everything up, and run the database and the server until they are stopped. Both are started again
 * when they end by themselves.
 * @param envOf  settings of the server, asked for once everything is set up
 * @param onReady called each time that the server answers
 */
export async function runHouse({ port, dbPort, command, envOf, onReady, onStop = () => {} }) {
  if (!(await portIsFree(port))) {
    giveUp(
      `Port ${port} is in use. Stop what uses it, or choose another: OPEN_LARDER_PORT=4400 ${command}`,
    );
  }
  /** Promises of what is up, or on its way up. */
  let database = null;
  let server = null;
  let stopping = false;
  async function stop(code) {
    if (stopping) return;
    stopping = true;
    onStop();
    // Stopped while something was just starting: let it come up, then take it down in order.
    await (await server?.catch(() => null))?.stop();
    await (await database)?.stop();
    process.exit(code);
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  async function serve() {
    const postgres = await database;
    const { ca, ...settings } = await envOf();
    const env = {
      OPEN_LARDER_PORT: String(port),
      OPEN_LARDER_DB_URL: await postgres.ensure('larder'),
      OPEN_LARDER_DATA_DIR: postgres.folder,
      OPEN_LARDER_WEB_DIR: webDir,
      OPEN_LARDER_BACKUP_DIR: process.env.OPEN_LARDER_BACKUP_DIR ?? join(keep, 'backups'),
      OPEN_LARDER_LOG: process.env.OPEN_LARDER_LOG ?? 'warn',
      ...settings,
    };
    let launched = false;
    const startDatabase = async () => {
      if (launched) await postgres.launch();
      launched = true;
      return { ended: postgres.ended() };
    };
    const startOurs = async () => {
      server = startServer(env, { apart: true, built: true, ca });
      const running = await server;
      await onReady();
      return running;
    };
    const isOver = () => stopping;
    await Promise.all([
      keepRunning('PostgreSQL', startDatabase, isOver),
      keepRunning('The server', startOurs, isOver),
    ]);
  }
  try {
    await setUp({ browser: false });
    if (!stopping) database = startPostgres('db', dbPort);
    await database;
    if (!stopping) await buildWeb();
    if (!stopping) await buildServer();
    if (!stopping) await serve();
  } catch (error) {
    process.stderr.write(`\n${error.message}\n`);
    await stop(1);
  }
}
