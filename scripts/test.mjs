import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { check } from './check.mjs';
import { dayOfCommit } from './days.mjs';
import { keep } from './places.mjs';
import { portFrom, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { say, sinceStart, step } from './say.mjs';
import { chromiumPath, setUp } from './setup.mjs';
import { nginxPath } from './nginx.mjs';
import { buildWeb, webDir } from './web.mjs';

const JEST_REPORT = join(keep, 'jest.json');
const JOURNEY_REPORT = join(keep, 'journeys.json');

await setUp({ browser: true });
const postgres = await startPostgres('testdb', portFrom('OPEN_LARDER_TEST_DB_PORT', 54311), {
  passing: true,
});

async function stop(code) {
  await postgres.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(130));
process.on('SIGTERM', () => void stop(143));

/** What went wrong in each step that failed: said where it happened, and again at the end. */
const wrong = [];

/** A step that may fail without hiding what comes after it. */
async function attempt(title, work) {
  try {
    await step(title, work);
  } catch (error) {
    wrong.push(`${title}: ${error.message}`);
    process.stderr.write(`\n${error.message}\n`);
  }
}

for (const report of [JEST_REPORT, JOURNEY_REPORT]) rmSync(report, { force: true });

await attempt('Checks', check);
const day = dayOfCommit();
await attempt(`Unit and server tests, as on ${day}`, async () => {
  const url = await postgres.ensure('larder_test', { fresh: true });
  // Workers, not this process alone: where one breaks, the report is written all the same.
  await run('npx', ['jest', '--ci', '--maxWorkers=2', '--json', `--outputFile=${JEST_REPORT}`], {
    env: {
      OPEN_LARDER_TEST_DB_URL: url,
      OPEN_LARDER_TEST_NOW: day,
      OPEN_LARDER_TEST_DAYS: day,
      TZ: 'UTC',
    },
  });
});
await attempt('Journeys in Chromium', async () => {
  await buildWeb();
  await run('npx', ['playwright', 'test', '--config', join('journeys', 'playwright.config.ts')], {
    env: {
      OPEN_LARDER_TEST_DB_URL: await postgres.ensure('larder_test'),
      OPEN_LARDER_WEB_DIR: webDir,
      OPEN_LARDER_CHROMIUM: chromiumPath(),
      OPEN_LARDER_NGINX: await nginxPath(),
      OPEN_LARDER_JOURNEY_REPORT: JOURNEY_REPORT,
    },
  });
});

const jest = readReport(JEST_REPORT);
const journeys = readReport(JOURNEY_REPORT);
const passed =
  (jest?.numPassedTests ?? 0) + (journeys ? journeys.stats.expected + journeys.stats.flaky : 0);
const failed =
  (jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1) +
  (journeys ? journeys.stats.unexpected + journeys.errors.length : 1);
// A failed check counts in no runner's report, and must not pass for all that.
const broken = failed === 0 ? wrong.length : failed;
const journeyed = journeys ? testsIn(journeys.suites) : [];
report('Measured in the journeys', journeyed.flatMap(measuredIn));
report(
  'Failed the first time they were tried, and passed the second',
  journeyed.filter(({ status }) => status === 'flaky').map(firstFault),
);
report('What went wrong', wrong);
say(`\nTests took ${sinceStart()}.`);
await postgres.stop();
say(`${passed} passed, ${broken} failed`);
process.exit(broken === 0 ? 0 : 1);

function report(title, lines) {
  if (lines.length > 0) say(`\n${title}:\n${lines.map((line) => `  ${line}`).join('\n')}`);
}

/** Every test of the journeys' report, however deep its suite. */
function testsIn(suites) {
  return suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...testsIn(inner),
    ...specs.flatMap(({ title, tests }) => tests.map((test) => ({ ...test, title }))),
  ]);
}

/** What a journey noted while it ran: reported, and no test by itself. */
function measuredIn({ projectName, annotations }) {
  return annotations
    .filter(({ description }) => description)
    .map(({ type, description }) => `${projectName}, ${type}: ${description}`);
}

function firstFault({ projectName, title, results }) {
  // Without the colours that it has for a terminal.
  const message = stripVTControlCharacters(results[0]?.error?.message ?? '');
  const [first] = message.split('\n');
  return `${projectName}, ${title}: ${first || results[0]?.status}`;
}

function readReport(path) {
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
}
