import { portFrom, portIsFree, startPostgres } from './postgres.mjs';
import { giveUp, say, sinceStart } from './say.mjs';
import { startServer } from './server.mjs';
import { setUp } from './setup.mjs';
import { keepRunning } from './supervise.mjs';
import { buildWeb, webDir } from './web.mjs';

const HELP = `npm start                 the product with its demo data
npm start -- --empty      a household of your own, empty at first

OPEN_LARDER_PORT      port of the product (4310)
OPEN_LARDER_DB_PORT   port of its database (54310)`;

const args = process.argv.slice(2);
if (args.includes('--help')) {
  say(HELP);
  process.exit(0);
}
const unknown = args.find((arg) => arg !== '--empty');
if (unknown) giveUp(`«${unknown}» is not known here.\n\n${HELP}`);

const port = portFrom('OPEN_LARDER_PORT', 4310);
const dbPort = portFrom('OPEN_LARDER_DB_PORT', 54310);
if (!(await portIsFree(port))) {
  giveUp(
    `Port ${port} is in use. Stop what uses it, or choose another: OPEN_LARDER_PORT=4400 npm start`,
  );
}

/** Promises of what is up, or on its way up. */
let database = null;
let server = null;
let stopping = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  // Stopped while something was just starting: let it come up, then take it down in order.
  await (await server?.catch(() => null))?.stop();
  await (await database)?.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));
process.on('SIGHUP', () => void stop(0));

try {
  await setUp({ browser: false });
  if (!stopping) database = startPostgres('db', dbPort);
  await database;
  if (!stopping) await buildWeb();
  if (!stopping) await serve();
} catch (error) {
  process.stderr.write(`\n${error.message}\n`);
  await stop(1);
}

/** Both are started again when they end by themselves: a house must not stand still for it. */
async function serve() {
  const postgres = await database;
  const env = {
    OPEN_LARDER_PORT: String(port),
    OPEN_LARDER_DB_URL: await postgres.ensure('larder'),
    OPEN_LARDER_DATA_DIR: postgres.folder,
    OPEN_LARDER_WEB_DIR: webDir,
    OPEN_LARDER_HOUSEHOLD: args.includes('--empty') ? 'empty' : 'demo',
    OPEN_LARDER_SIGN_IN: 'itself',
    OPEN_LARDER_LOG: process.env.OPEN_LARDER_LOG ?? 'warn',
  };
  let launched = false;
  const startDatabase = async () => {
    if (launched) await postgres.launch();
    launched = true;
    return { ended: postgres.ended() };
  };
  const startOurs = async () => {
    server = startServer(env, { apart: true });
    const running = await server;
    say(
      `\nOpen Larder is ready after ${sinceStart()}:  http://localhost:${port}\nCtrl-C stops it.`,
    );
    return running;
  };
  const isOver = () => stopping;
  await Promise.all([
    keepRunning('PostgreSQL', startDatabase, isOver),
    keepRunning('The server', startOurs, isOver),
  ]);
}
