import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { keep, root } from './places.mjs';
import { portFrom, portIsFree, startPostgres } from './postgres.mjs';
import { run } from './run.mjs';
import { giveUp, say, sinceStart, step } from './say.mjs';
import { startServer } from './server.mjs';
import { chromiumPath, setUp } from './setup.mjs';
import { buildWeb, expoEnv, webDir } from './web.mjs';

const port = portFrom('OPEN_LARDER_BENCH_PORT', 4312);
/** The house of 300 tanks stands on the next port. */
const largePort = port + 1;
/** The house that people sign in to is the demo again. */
const peoplePort = port + 2;
await setUp({ browser: true });
for (const wanted of [port, largePort, peoplePort]) {
  if (!(await portIsFree(wanted)))
    giveUp(`Port ${wanted} is in use; choose another three with OPEN_LARDER_BENCH_PORT.`);
}
const postgres = await startPostgres('benchdb', portFrom('OPEN_LARDER_BENCH_DB_PORT', 54312));
let server = null;
let largeServer = null;
let peopleServer = null;

async function stop(code) {
  await server?.stop();
  await largeServer?.stop();
  await peopleServer?.stop();
  await postgres.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(130));

try {
  await buildWeb();
  const bare = join(keep, 'bare');
  await step('Bare Expo Router app: building', () =>
    run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', bare], {
      cwd: join(root, 'scripts', 'bare-app'),
      env: expoEnv,
      quiet: 'bare-build',
    }),
  );
  const env = {
    OPEN_LARDER_DB_URL: await postgres.ensure('larder_bench', { fresh: true }),
    OPEN_LARDER_PORT: String(port),
    OPEN_LARDER_LOG: 'silent',
    OPEN_LARDER_WEB_DIR: webDir,
  };
  server = await startServer(env);
  const large = {
    OPEN_LARDER_DB_URL: await postgres.ensure('larder_bench_large', { fresh: true }),
    OPEN_LARDER_PORT: String(largePort),
    OPEN_LARDER_HOUSEHOLD: 'empty',
    OPEN_LARDER_SIGN_IN: 'itself',
    OPEN_LARDER_LOG: 'silent',
    OPEN_LARDER_WEB_DIR: webDir,
  };
  largeServer = await startServer(large);
  say(
    '\n| measured                                             |         ours |         base |  ratio | limit |',
  );
  say(
    '| ---------------------------------------------------- | -----------: | -----------: | -----: | ----- |',
  );
  firstLoad(bare);
  for (const measured of ['opening', 'lists', 'secondScreen']) {
    await run(process.execPath, ['--import', 'tsx', join('journeys', `${measured}.ts`)], {
      env: {
        OPEN_LARDER_URL: `http://localhost:${port}`,
        OPEN_LARDER_LARGE_URL: `http://localhost:${largePort}`,
        OPEN_LARDER_CHROMIUM: chromiumPath(),
      },
    });
  }
  const bench = ['--import', 'tsx', join('server', 'bench', 'main.ts')];
  await run(process.execPath, [...bench, '--large'], {
    env: { ...large, OPEN_LARDER_BENCH_EVENTS: '0' },
  });
  peopleServer = await startServer({
    ...env,
    OPEN_LARDER_PORT: String(peoplePort),
    OPEN_LARDER_SIGN_IN: 'people',
  });
  for (const measured of ['people', 'throughput']) {
    await run(process.execPath, ['--import', 'tsx', join('server', 'bench', `${measured}.ts`)], {
      env: {
        OPEN_LARDER_URL: `http://localhost:${port}`,
        OPEN_LARDER_PEOPLE_URL: `http://localhost:${peoplePort}`,
      },
    });
  }
  await run(process.execPath, bench, { env });
  say(`\nThe bench took ${sinceStart()}.`);
  await stop(0);
} catch (error) {
  process.stderr.write(`\n${error.message}\n`);
  await stop(1);
}

/** Compressed script of the first screen, the Round, against the least that Expo Router can be. */
function firstLoad(bare) {
  const ours = scriptBytes(webDir);
  const base = scriptBytes(bare);
  say(
    `| ${'first load: script, gzipped'.padEnd(52)} | ${`${Math.round(ours / 1000)} kB`.padStart(12)} | ` +
      `${`${Math.round(base / 1000)} kB`.padStart(12)} | ${(ours / base).toFixed(2).padStart(6)} | at most 1.35 |`,
  );
}

/** Scripts that the page names: the first screen needs no other. */
function scriptBytes(folder) {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  return [...page.matchAll(/src="(\/_expo\/[^"]+\.js)"/g)]
    .map((match) => gzipSync(readFileSync(join(folder, match[1]))).length)
    .reduce((sum, bytes) => sum + bytes, 0);
}
