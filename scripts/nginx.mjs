import { existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { isRoot, keep } from './places.mjs';
import { run } from './run.mjs';
import { giveUp, step } from './say.mjs';

const INSTALLED = '/usr/sbin/nginx';

/**
 * Path of Debian's nginx, for the journey through a proxy. Where it is not installed it is unpacked beside
 * the code: installing it would start a web server on the machine.
 */
export async function nginxPath() {
  if (existsSync(INSTALLED)) return INSTALLED;
  const folder = join(keep, 'nginx');
  const unpacked = join(folder, 'usr', 'sbin', 'nginx');
  if (existsSync(unpacked)) return unpacked;
  mkdirSync(folder, { recursive: true });
  try {
    await step('Debian: fetching nginx', async () => {
      if (isRoot) await run('apt-get', ['update'], { quiet: 'apt-update' });
      await run('apt-get', ['download', 'nginx'], { cwd: folder, quiet: 'apt-nginx' });
      const [archive] = readdirSync(folder).filter((name) => name.endsWith('.deb'));
      await run('dpkg', ['-x', join(folder, archive), folder], { quiet: 'nginx' });
    });
  } catch (error) {
    giveUp(
      `nginx could not be fetched.\n${error.message}\nInstall it by hand: sudo apt-get install nginx`,
    );
  }
  return unpacked;
}
