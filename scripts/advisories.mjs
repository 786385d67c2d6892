import { spawn } from 'node:child_process';
import { root } from './places.mjs';
import { say } from './say.mjs';

/** A registry that has not answered by then is taken for none. */
const PATIENCE_MS = 20_000;

/** What npm prints of known advisories, whatever it ends with. */
function audit() {
  return new Promise((resolve) => {
    const child = spawn('npm', ['audit', '--omit=dev', '--json'], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'ignore'],
      timeout: PATIENCE_MS,
    });
    let text = '';
    child.stdout.on('data', (chunk) => (text += chunk));
    child.on('error', () => resolve(''));
    child.on('exit', () => resolve(text));
  });
}

/**
 * Packages that we ship with a known serious advisory fail the checks. Without a network, or with a
 * registry that does not answer, this is said and passes.
 */
export async function checkAdvisories() {
  let found;
  try {
    found = JSON.parse(await audit()).metadata?.vulnerabilities;
  } catch {
    found = undefined;
  }
  if (found === undefined) {
    say('    The registry does not answer about advisories: not checked.');
    return;
  }
  const serious = found.high + found.critical;
  if (serious > 0) {
    throw new Error(
      `${serious} packages that we ship have a serious advisory: see npm audit --omit=dev`,
    );
  }
}
