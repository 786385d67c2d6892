import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { root } from './places.mjs';
import { step } from './say.mjs';

/** Where the server is built to: plain JavaScript, with the packages of this repository that it needs. */
export const buildDir = join(root, 'dist');
export const builtServer = join(buildDir, 'server', 'src', 'main.js');

/** Packages of this repository that the server is made of. */
const OURS = ['catalogue', 'core', 'say', 'contract'];
/** Only tests need them. */
const LEFT_OUT = /\.(test|testkit)\.ts$|[/\\]testing[/\\]/;

/** Build the server. It takes a second or two, and is done anew at each start. */
export async function buildServer() {
  await step('Server: building', async () => {
    rmSync(buildDir, { recursive: true, force: true });
    for (const name of OURS) {
      const to = join(buildDir, 'node_modules', '@open-larder', name);
      await compile(join(root, name, 'src'), join(to, 'src'));
      writeFileSync(join(to, 'package.json'), asBuilt(join(root, name, 'package.json')));
    }
    const rows = join(buildDir, 'node_modules', '@open-larder', 'catalogue');
    for (const file of readdirSync(join(root, 'catalogue'))) {
      if (/\.(csv|schema\.json)$/.test(file))
        cpSync(join(root, 'catalogue', file), join(rows, file));
    }
    await compile(join(root, 'server', 'src'), join(buildDir, 'server', 'src'));
    writeFileSync(
      join(buildDir, 'server', 'package.json'),
      asBuilt(join(root, 'server', 'package.json')),
    );
  });
}

/** Every source of a folder as JavaScript, in the same places. */
async function compile(from, to) {
  // Loaded once the packages are there: this file is read before they are.
  const { transform } = await import('esbuild');
  const entries = readdirSync(from, { recursive: true, withFileTypes: true });
  const sources = entries
    .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .filter((path) => !LEFT_OUT.test(path));
  for (const path of sources) {
    const { code } = await transform(readFileSync(path, 'utf8'), {
      loader: 'ts',
      format: 'cjs',
      target: 'node20',
      sourcefile: basename(path),
    });
    const out = join(to, path.slice(from.length + 1).replace(/\.ts$/, '.js'));
    mkdirSync(join(out, '..'), { recursive: true });
    writeFileSync(out, code);
  }
}

/** A package whose doors lead to what was built. */
function asBuilt(path) {
  const { name, version, dependencies, exports } = JSON.parse(readFileSync(path, 'utf8'));
  const doors = JSON.stringify({ name, version, private: true, dependencies, exports }, null, 2);
  return `${doors.replaceAll(/\.ts"/g, '.js"')}\n`;
}
