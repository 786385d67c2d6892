import { DAYS } from './days.mjs';
import { portFrom, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { say, step } from './say.mjs';
import { setUp } from './setup.mjs';

/**
 * What depends on the day, over the days that break such things: the app's components on each, and
 * the server over all of them. Arguments choose among the days: `npm run test:days -- 2028-02-29`.
 */
const chosen = process.argv.slice(2);
const days = DAYS.filter((day) => chosen.length === 0 || chosen.some((one) => day.includes(one)));

await setUp({ browser: false });
const postgres = await startPostgres('testdb', portFrom('OPEN_LARDER_TEST_DB_PORT', 54311), {
  passing: true,
});
const failed = [];
for (const day of days) {
  try {
    await step(day, () =>
      run('npx', ['jest', '--ci', '--maxWorkers=2', '--selectProjects', 'app', '--silent'], {
        env: { OPEN_LARDER_TEST_NOW: day, TZ: 'UTC' },
        quiet: 'days-app',
      }),
    );
  } catch (error) {
    failed.push(day);
    process.stderr.write(`${error.message}\n`);
  }
}
try {
  await step('The server, over all of them', async () =>
    run('npx', ['jest', '--ci', '--selectProjects', 'server', '--testPathPattern', 'days.test'], {
      env: {
        OPEN_LARDER_TEST_DB_URL: await postgres.ensure('larder_test', { fresh: true }),
        OPEN_LARDER_TEST_DAYS: days.join(' '),
        TZ: 'UTC',
      },
      quiet: 'days-server',
    }),
  );
} catch (error) {
  failed.push('the server');
  process.stderr.write(`${error.message}\n`);
}
await postgres.stop();
say(failed.length === 0 ? 'All days hold.' : `These do not hold: ${failed.join(', ')}`);
process.exit(failed.length === 0 ? 0 : 1);
