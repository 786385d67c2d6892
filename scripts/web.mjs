import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  readFileSync,
  readdirSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join, relative } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { checkCatalogue } from './check.mjs';
import { keep, root } from './places.mjs';
import { run } from './run.mjs';
import { step } from './say.mjs';
import { buildServiceWorker } from './serviceWorker.mjs';

/** Where the web app is built to. */
export const webDir = join(root, 'app', 'dist');

const SOURCES = [
  'app',
  'core/src',
  'say/src',
  'contract/src',
  'catalogue',
  'package-lock.json',
  'scripts/serviceWorker.mjs',
];
const LEFT_OUT = new Set(['node_modules', 'dist', '.expo', 'highs.wasm']);

function* filesUnder(path) {
  if (statSync(path).isFile()) {
    yield path;
    return;
  }
  for (const name of readdirSync(path).sort()) {
    if (!LEFT_OUT.has(name) && !/\.test\.tsx?$/.test(name)) yield* filesUnder(join(path, name));
  }
}

function fingerprint() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for (const file of filesUnder(join(root, source))) {
      hash.update(relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
    }
  }
  return hash.digest('hex');
}

/** Environment for Expo's tools: they ask nothing of the network. */
export const expoEnv = {
  EXPO_NO_TELEMETRY: '1',
  EXPO_OFFLINE: '1',
  CI: '1',
  NODE_ENV: 'production',
};

/** Beside each script, the same as small as it gets: far slower to make than a server has time for. */
function packScripts() {
  const scripts = join(webDir, '_expo', 'static', 'js', 'web');
  for (const name of readdirSync(scripts)) {
    if (!name.endsWith('.js')) continue;
    const path = join(scripts, name);
    writeFileSync(`${path}.br`, brotliCompressSync(readFileSync(path)));
    writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }));
  }
}

/** Build the web app, unless it stands as its sources are. */
export async function buildWeb() {
  const marker = join(keep, 'web.built');
  const wanted = fingerprint();
  const built = existsSync(marker) ? readFileSync(marker, 'utf8') : '';
  if (built === wanted && existsSync(join(webDir, 'index.html'))) return;
  await checkCatalogue();
  // The solver of the week is fetched by its worker when it is first needed.
  copyFileSync(
    join(root, 'node_modules', 'highs', 'build', 'highs.wasm'),
    join(root, 'app', 'public', 'highs.wasm'),
  );
  await step('Web app: building (a minute or so)', () =>
    run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
      cwd: join(root, 'app'),
      env: expoEnv,
      quiet: 'web-build',
    }),
  );
  await step('Web app: for use without a connection', () => buildServiceWorker(webDir));
  packScripts();
  writeFileSync(marker, wanted);
}
