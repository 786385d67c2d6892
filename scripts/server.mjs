import { spawn } from 'node:child_process';
import { get as getPlain } from 'node:http';
import { get as getTls } from 'node:https';
import { join } from 'node:path';
import { builtServer } from './build.mjs';
import { root } from './places.mjs';

const READY_MS = 180_000;

/**
 * Start the server and wait until it answers.
 * @param env its settings, OPEN_LARDER_PORT among them
 * @param ca    certificate of the authority, where it serves over TLS
 * @param built run it as it was built, rather than from its sources
 * @param apart give it a process group of its own, so that Ctrl-C reaches only who started it
 * @returns {process, stop()}
 */
export async function startServer(env, { apart = false, built = false, ca } = {}) {
  const program = built ? [builtServer] : ['--import', 'tsx', join('server', 'src', 'main.ts')];
  const child = spawn(process.execPath, program, {
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
    if (await answers(env, ca)) return { process: child, ended: gone, stop };
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  await stop();
  throw new Error('The server was not ready within three minutes.');
}

/** Whether it is ready, asked on this machine. */
function answers({ OPEN_LARDER_PORT: port, OPEN_LARDER_TLS_CERT: cert }, ca) {
  const tls = cert ?? process.env.OPEN_LARDER_TLS_CERT;
  // A certificate from elsewhere need not name this machine: only whether it answers is asked.
  const options = ca ? { ca, servername: 'localhost' } : { rejectUnauthorized: false };
  const host = process.env.OPEN_LARDER_HOST ?? '127.0.0.1';
  const local = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
  return new Promise((resolve) => {
    const get = tls ? getTls : getPlain;
    const headers = { Host: 'localhost' };
    get({ host: local, port, path: '/api/ready', headers, ...(tls ? options : {}) }, (answer) => {
      answer.resume();
      resolve(answer.statusCode === 200);
    }).on('error', () => resolve(false));
  });
}
