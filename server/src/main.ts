import { loadCatalogue } from '@open-larder/catalogue/load';
import { createApp } from './app';
import { runningClock } from './clock';
import { readConfig } from './config';
import { connect, migrate, Scope, watchDatabase } from './db';
import { ensureHousehold } from './demo';
import { diskOf } from './disk';
import { dropOldReceipts } from './http/receipts';
import { makeLog } from './log';

/** How long requests in flight may take to finish once the server is asked to stop. */
const PATIENCE_MS = 5000;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = makeLog(config.logLevel);
  const clock = runningClock(config.clockStart);
  const catalogue = loadCatalogue();
  const setUp = connect(config.dbUrl, { patient: true });
  await migrate(setUp);
  const householdId = await ensureHousehold(setUp, catalogue, {
    key: config.household,
    timeZone: config.timeZone,
    now: clock.now(),
  });
  await dropOldReceipts(new Scope(setUp, householdId));
  await setUp.close();
  const db = connect(config.dbUrl);
  const disk = await diskOf(config.dataDir);
  if (disk.low) log.warn({ freeMb: disk.freeMb }, 'the disk of the database is nearly full');
  const watch = watchDatabase(config.dbUrl, (up) =>
    up ? log.warn('the database answers again') : log.error('the database does not answer'),
  );
  const app = createApp({
    db,
    catalogue,
    clock,
    log,
    webDir: config.webDir,
    householdOf: () => householdId,
    watch,
    dataDir: config.dataDir,
  });
  const server = app.listen(config.port, '127.0.0.1', (error?: Error) => {
    if (error) {
      log.fatal({ port: config.port }, portSentence(error, config.port));
      process.exit(1);
    }
    log.info({ port: config.port }, 'listening on loopback');
  });

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(1), PATIENCE_MS).unref();
    server.close(() => {
      void Promise.all([watch.stop(), db.close()]).then(() => process.exit(0));
    });
    server.closeIdleConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  // Started by a script that has died: nobody would ever stop this server.
  process.on('disconnect', stop);
}

function portSentence(error: Error & { code?: string }, port: number): string {
  return error.code === 'EADDRINUSE'
    ? `port ${port} is in use; stop what uses it, or choose another with OPEN_LARDER_PORT`
    : error.message;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
