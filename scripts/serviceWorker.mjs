import { rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './places.mjs';

/** The solver of the week is the largest of what is put on the device. */
const LARGEST_BYTES = 8 * 1024 * 1024;

/** The worker sends, and shows nothing: answers with what waits in them are for pages. */
const withoutOverlay = {
  name: 'without overlay',
  setup(build) {
    build.onResolve({ filter: /^\.\/overlay$/ }, () => ({ path: 'overlay', namespace: 'none' }));
    build.onLoad({ filter: /.*/, namespace: 'none' }, () => ({
      contents: 'export const withActs = (_route, data) => data;',
    }));
  },
};

/** What makes it larger was not meant for it: parts of the screens are not run by a worker. */
const MOST_BYTES = 120_000;

/**
 * Build the service worker into the exported app, with the list of all its files.
 * @param webDir where the app was exported to
 */
export async function buildServiceWorker(webDir) {
  // Loaded once the packages are there: this file is read before they are.
  const { build } = await import('esbuild');
  const { injectManifest } = await import('workbox-build');
  const bundled = join(webDir, 'sw.bundled.js');
  await build({
    entryPoints: [join(root, 'app', 'src', 'offline', 'serviceWorker.ts')],
    outfile: bundled,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    // What only a page loads later.
    external: ['./house'],
    plugins: [withoutOverlay],
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  if (statSync(bundled).size > MOST_BYTES) {
    throw new Error('The service worker has grown: something in app/src/offline reaches a screen.');
  }
  const { count, size, warnings } = await injectManifest({
    swSrc: bundled,
    swDest: join(webDir, 'sw.js'),
    globDirectory: webDir,
    globPatterns: ['**/*.{js,html,woff2,wasm,png,svg,webmanifest}'],
    globIgnores: ['sw*.js'],
    // These names carry a hash of what they hold.
    dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
    maximumFileSizeToCacheInBytes: LARGEST_BYTES,
  });
  rmSync(bundled);
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  return { count, size };
}
