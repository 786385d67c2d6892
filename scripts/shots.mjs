import { join } from 'node:path';
import { portFrom, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { startServer } from './server.mjs';
import { chromiumPath, setUp } from './setup.mjs';
import { step } from './say.mjs';
import { buildWeb, webDir } from './web.mjs';

/** Remake docs/screenshots from the demo, in a database of its own. */
const port = portFrom('OPEN_LARDER_SHOTS_PORT', 4313);
/** A Wednesday after lunch, so that the pictures are the same whenever they are taken. */
const clock = '2026-03-11T13:00:00Z';
await setUp({ browser: true });
const postgres = await startPostgres('testdb', portFrom('OPEN_LARDER_TEST_DB_PORT', 54311));
let code = 0;
try {
  await buildWeb();
  const server = await startServer({
    OPEN_LARDER_PORT: String(port),
    OPEN_LARDER_DB_URL: await postgres.ensure('larder_shots', { fresh: true }),
    OPEN_LARDER_WEB_DIR: webDir,
    OPEN_LARDER_HOUSEHOLD: 'demo',
    OPEN_LARDER_CLOCK: clock,
    OPEN_LARDER_TIME_ZONE: 'UTC',
    OPEN_LARDER_LOG: 'warn',
  });
  try {
    await step('Pictures', () =>
      run(process.execPath, ['--import', 'tsx', join('journeys', 'shots.ts')], {
        env: {
          OPEN_LARDER_URL: `http://localhost:${port}`,
          OPEN_LARDER_CHROMIUM: chromiumPath(),
          OPEN_LARDER_CLOCK: clock,
        },
      }),
    );
  } finally {
    await server.stop();
  }
} catch (error) {
  process.stderr.write(`\n${error.message}\n`);
  code = 1;
}
await postgres.stop();
process.exit(code);
