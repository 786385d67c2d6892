import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isRoot, keep, root } from './places.mjs';
import { read, run } from './run.mjs';
import { giveUp, say, step } from './say.mjs';

const NODE_AT_LEAST = 20;

/** Folder of PostgreSQL's programs, newest version first; null where it is not installed. */
export function postgresBin() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  const found = versions
    .map((version) => join(base, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')));
  return found ?? null;
}

/** Path of a Chromium browser; null where there is none. */
export function chromiumPath() {
  const named = process.env.OPEN_LARDER_CHROMIUM;
  const paths = [named, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean);
  return paths.find((path) => existsSync(path)) ?? null;
}

/** Everything a start needs: Node, the packages, PostgreSQL unless it is elsewhere, a browser where `browser`. */
export async function setUp({ browser, database = true }) {
  if (Number(process.versions.node.split('.')[0]) < NODE_AT_LEAST) {
    giveUp(`Node ${NODE_AT_LEAST} or newer is needed; this is ${process.version}.`);
  }
  const wanted = [];
  if (database && !postgresBin()) wanted.push('postgresql');
  if (browser && !chromiumPath()) wanted.push('chromium');
  if (wanted.length > 0) await installFromDebian(wanted);
  await installFromNpm();
}

async function installFromDebian(names) {
  const byHand = `Install by hand, then start again:\n    sudo apt-get install ${names.join(' ')}`;
  const sudo = isRoot ? [] : ['sudo', '-n'];
  if (!isRoot && (await read('sudo', ['-n', 'true'])) === null) {
    giveUp(`${names.join(' and ')} from Debian's packages are missing. ${byHand}`);
  }
  const apt = (args, log) => {
    const [command, ...rest] = [
      ...sudo,
      'env',
      'DEBIAN_FRONTEND=noninteractive',
      'apt-get',
      ...args,
    ];
    return run(command, rest, { quiet: log });
  };
  try {
    await step('Debian: reading the package lists', () => apt(['update'], 'apt-update'));
    for (const name of names) {
      await step(`Debian: installing ${name}`, () =>
        apt(['install', '-y', '--no-install-recommends', name], `apt-${name}`),
      );
    }
  } catch (error) {
    giveUp(`Debian's packages could not be installed.\n${error.message}\n${byHand}`);
  }
}

/** npm packages, exactly as locked; again only when the lock has changed. */
async function installFromNpm() {
  const lock = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  const wanted = lock.digest('hex');
  const marker = join(root, 'node_modules', '.open-larder-lock');
  if (existsSync(marker) && readFileSync(marker, 'utf8') === wanted) return;
  try {
    await step('npm: installing packages (a minute or two)', () =>
      run('npm', ['ci', '--no-progress'], { quiet: 'npm' }),
    );
  } catch (error) {
    giveUp(`The npm packages could not be installed.\n${error.message}`);
  }
  writeFileSync(marker, wanted);
  say(`  log: ${join(keep, 'npm.log')}`);
}
