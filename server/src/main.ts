import { loadCatalogue } from '@open-larder/catalogue/load';
import { createApp } from './app';
import { backUpDaily } from './backup/daily';
import { hangBell } from './changes/bell';
import { runningClock } from './clock';
import { readConfig } from './config';
import { asAppRole, connect, migrate, Registry, Scope, watchDatabase } from './db';
import { ensureHousehold } from './demo';
import { diskOf } from './disk';
import { dropOldReceipts } from './http/receipts';
import { serverOf, type CertificateWatch } from './http/server';
import { makeLog } from './log';
import { openSessions } from './people/sessions';
import { dropExpired } from './people/store';
import { keeperByItself } from './people/visitor';
import { waitsIn } from './people/waits';

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
  await dropExpired(new Registry(setUp), clock.now());
  const dbUrl = await asAppRole(setUp, config.dbUrl);
  await setUp.close();
  const db = connect(dbUrl);
  const disk = await diskOf(config.dataDir);
  if (disk.low) log.warn({ freeMb: disk.freeMb }, 'the disk of the database is nearly full');
  const watch = watchDatabase(dbUrl, (up) =>
    up ? log.warn('the database answers again') : log.error('the database does not answer'),
  );
  const bell = hangBell(dbUrl);
  const registry = new Registry(db);
  const sessions = await openSessions({
    dbUrl,
    registry,
    clock,
    secure: config.reach.secure,
  });
  const bySession = config.signIn === 'people';
  const certificate: CertificateWatch = { ends: null };
  const app = createApp({
    db,
    catalogue,
    clock,
    log,
    webDir: config.webDir,
    visitorOf: bySession
      ? sessions.visitorOf
      : keeperByItself(() => ({ id: householdId, role: 'owner' })),
    readSession: bySession ? sessions.read : undefined,
    people: {
      registry,
      clock,
      waits: waitsIn(sessions.pool),
      offered: householdId,
      setUpCode: config.setUpCode,
      address: config.address,
    },
    reach: config.reach,
    watch,
    bell,
    certificate,
    dataDir: config.dataDir,
  });
  const server = await serverOf(app, config.tls, { clock, log, certificate });
  server.once('error', (error) => {
    log.fatal({ port: config.port }, portSentence(error, config.port));
    process.exit(1);
  });
  server.listen(config.port, config.host, () =>
    log.info({ host: config.host, port: config.port, signIn: config.signIn }, 'listening'),
  );

  const stopBackups =
    config.backupDir === undefined
      ? () => undefined
      : backUpDaily({ registry, clock, folder: config.backupDir, log });

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    stopBackups();
    // Streams never end by themselves: their pages ask the next server.
    void bell.close();
    setTimeout(() => process.exit(1), PATIENCE_MS).unref();
    server.close(() => {
      void Promise.all([watch.stop(), sessions.close(), db.close()]).then(() => process.exit(0));
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
