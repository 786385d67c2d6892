import { X509Certificate } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import type { Express } from 'express';
import type { Logger } from 'pino';
import type { Clock } from '../clock';

interface TlsFiles {
  cert: string;
  key: string;
}

/** How often the files of the certificate are read again: it is renewed while the server runs. */
const READ_AGAIN_MS = 6 * 3_600_000;
const SOON_MS = 14 * 86_400_000;

/** What is known of the certificate that is served now. */
export interface CertificateWatch {
  /** Null without one. */
  ends: Date | null;
}

/** The instant at which it ends, once that is near. */
export const endsSoon = ({ ends }: CertificateWatch, now: Date): string | null =>
  ends !== null && ends.getTime() - now.getTime() < SOON_MS ? ends.toISOString() : null;

interface Tools {
  clock: Clock;
  log: Logger;
  certificate: CertificateWatch;
}

/**
 * A server for an app, over TLS where it has a certificate.
 * @throws Error naming the file that cannot be read
 */
export async function serverOf(app: Express, tls: TlsFiles | null, tools: Tools): Promise<Server> {
  if (tls === null) return patient(createServer(app));
  const files = await read(tls, tools);
  const server = patient(createTlsServer({ ...files, minVersion: 'TLSv1.2' }, app));
  const again = setInterval(() => {
    // Half written, or taken away: what it has is kept, and read again later.
    read(tls, tools).then(
      (files) => server.setSecureContext({ ...files, minVersion: 'TLSv1.2' }),
      (error: Error) =>
        tools.log.error({ reason: error.message }, 'the certificate cannot be read'),
    );
  }, READ_AGAIN_MS);
  again.unref();
  return server;
}

/** Longer than proxies and browsers hold an idle connection: they never ask on one that is just closed. */
const KEEP_ALIVE_MS = 65_000;

function patient<S extends Server>(server: S): S {
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  server.headersTimeout = KEEP_ALIVE_MS + 1000;
  return server;
}

async function read({ cert, key }: TlsFiles, { clock, log, certificate: watch }: Tools) {
  const [certificate, secret] = await Promise.all([cert, key].map((path) => pem(path)));
  watch.ends = new Date(new X509Certificate(certificate!).validTo);
  const left = watch.ends.getTime() - clock.now().getTime();
  if (left < 0) log.error({ cert }, 'the certificate has expired: browsers refuse it; renew it');
  else if (left < SOON_MS)
    log.warn({ cert, days: Math.floor(left / 86_400_000) }, 'the certificate expires soon');
  return { cert: certificate!, key: secret! };
}

const pem = (path: string): Promise<string> =>
  readFile(path, 'utf8').catch(() => {
    throw new Error(`«${path}» cannot be read; give the file of a certificate or key in PEM`);
  });
