import { spawn } from 'node:child_process';
import { openSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { keep, root } from './places.mjs';

/**
 * Run a command to its end.
 * @param quiet name of a log under .open-larder that takes its output; the output is shown if it fails
 * @returns exit code; with `check` a failure throws
 */
export function run(command, args, { env = {}, cwd = root, quiet, check = true } = {}) {
  return new Promise((resolve, reject) => {
    const log = quiet ? join(keep, `${quiet}.log`) : null;
    const out = log ? openSync(log, 'w') : 'inherit';
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: ['ignore', out, out],
    });
    child.on('error', reject);
    child.on('exit', (code) => {
      if (code === 0 || !check) {
        resolve(code ?? 1);
        return;
      }
      const shown = log ? `\n${readFileSync(log, 'utf8').split('\n').slice(-40).join('\n')}` : '';
      reject(new Error(`${command} ${args.slice(0, 3).join(' ')} ended with ${code}${shown}`));
    });
  });
}

/** What a command prints, or null where it fails or is missing. */
export function read(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'ignore'] });
    let text = '';
    child.stdout.on('data', (chunk) => (text += chunk));
    child.on('error', () => resolve(null));
    child.on('exit', (code) => resolve(code === 0 ? text.trim() : null));
  });
}
