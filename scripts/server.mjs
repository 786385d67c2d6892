import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './places.mjs';

const READY_MS = 60_000;

/**
 * Start the server and wait until it answers.
 * @param env its settings, OPEN_LARDER_PORT among them
 * @param apart give it a process group of its own, so that Ctrl-C reaches only who started it
 * @returns {process, stop()}
 */
export async function startServer(env, { apart = false } = {}) {
  const child = spawn(process.execPath, ['--import', 'tsx', join('server', 'src', 'main.ts')], {
    cwd: root,
    env: { ...process.env, NODE_ENV: 'production', ...env },
    // The channel shows the server when who started it is gone, even by kill -9.
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: apart,
  });
  child.channel?.unref();
  const gone = new Promise((resolve) => child.once('exit', resolve));
  const stop = async () => {
    if (child.exitCode === null) child.kill('SIGTERM');
    await gone;
  };
  const patience = Date.now() + READY_MS;
  while (Date.now() < patience) {
    if (child.exitCode !== null || child.signalCode !== null) {
      throw new Error(`The server ended with ${child.exitCode}; its lines above say why.`);
    }
    const ready = await fetch(`http://127.0.0.1:${env.OPEN_LARDER_PORT}/api/ready`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return { process: child, ended: gone, stop };
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  await stop();
  throw new Error('The server was not ready within a minute.');
}
