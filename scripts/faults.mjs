import { join } from 'node:path';
import { portFrom, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { giveUp, say, sinceStart } from './say.mjs';
import { chromiumPath, setUp } from './setup.mjs';
import { buildWeb, webDir } from './web.mjs';

/**
 * Every fault at length, on the product itself: servers and databases that are killed, disks that fill up,
 * networks that are gone for a day. Bounded: about half an hour.
 */
await setUp({ browser: true });
const postgres = await startPostgres('testdb', portFrom('OPEN_LARDER_TEST_DB_PORT', 54311), {
  passing: true,
});
process.on('SIGINT', () => void postgres.stop().then(() => process.exit(130)));

try {
  await buildWeb();
  const config = join('journeys', 'playwright.config.ts');
  const which = ['faults.spec.ts', 'offline.spec.ts', 'nothingDoubled.spec.ts'];
  await run(
    'npx',
    ['playwright', 'test', '--config', config, '--project=phone', '--workers=1', ...which],
    {
      env: {
        OPEN_LARDER_FAULTS: 'long',
        OPEN_LARDER_TEST_DB_URL: await postgres.ensure('larder_test'),
        OPEN_LARDER_WEB_DIR: webDir,
        OPEN_LARDER_CHROMIUM: chromiumPath(),
      },
    },
  );
  say(`\nThe faults took ${sinceStart()}.`);
} catch (error) {
  await postgres.stop();
  giveUp(error.message);
}
await postgres.stop();
process.exit(0);
