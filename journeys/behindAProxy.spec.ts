import { spawn, type ChildProcess } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { beginning, dropDatabase, freePort, makeDatabase, NOW, serverOver } from './server';

const NAME = 'fishroom.local';
const PASSWORD = 'a heron at the weir';

/** Debian's nginx with TLS under a name of its own, in front of a server; all of it on loopback. */
async function proxyTo(port: number, folder: string) {
  const script = join(__dirname, '..', 'scripts', 'certificates.mjs');
  const { certificateFor } = (await import(script)) as {
    certificateFor: (names: string[], folder: string) => Promise<Record<'cert' | 'key', string>>;
  };
  const { cert, key } = await certificateFor([NAME], join(folder, 'tls'));
  const tlsPort = await freePort();
  const config = join(folder, 'nginx.conf');
  writeFileSync(
    config,
    `daemon off; pid ${folder}/nginx.pid; error_log stderr warn; worker_processes 1;
     events { worker_connections 64; }
     http {
       access_log off;
       ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((kind) => `${kind}_temp_path ${folder}/${kind};`).join(' ')}
       server {
         listen 127.0.0.1:${tlsPort} ssl;
         ssl_certificate ${cert}; ssl_certificate_key ${key};
         client_max_body_size 6m;
         location / {
           proxy_pass http://127.0.0.1:${port};
           proxy_set_header Host $http_host;
           proxy_set_header X-Forwarded-For $remote_addr;
           proxy_set_header X-Forwarded-Proto https;
         }
       }
     }`,
  );
  const nginx = spawn(process.env.OPEN_LARDER_NGINX ?? 'nginx', ['-c', config, '-p', folder], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  return { nginx, tlsPort, cert };
}

/** What a browser is given to trust one certificate: the digest of its key. */
const keyDigest = (cert: string): string =>
  createHash('sha256')
    .update(
      new X509Certificate(readFileSync(cert)).publicKey.export({ type: 'spki', format: 'der' }),
    )
    .digest('base64');

const ended = (child: ChildProcess) =>
  new Promise<void>((resolve) => {
    if (child.exitCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill('SIGTERM');
  });

test('a phone opens it over TLS, under a name of its own, through a proxy', async () => {
  const info = test.info();
  const folder = mkdtempSync(join(tmpdir(), 'larder-'));
  const database = `j_proxy_${info.workerIndex}`;
  await makeDatabase(database, beginning('demo'));
  const server = await serverOver(database, 'demo', {
    signIn: 'people',
    env: { OPEN_LARDER_NAMES: NAME, OPEN_LARDER_PROXY: 'loopback' },
  });
  await server.start(NOW);
  const { nginx, tlsPort, cert } = await proxyTo(Number(new URL(server.url).port), folder);
  const url = `https://${NAME}:${tlsPort}`;
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      `--ignore-certificate-errors-spki-list=${keyDigest(cert)}`,
      `--host-resolver-rules=MAP *.local 127.0.0.1`,
    ],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    await context.clock.setFixedTime(NOW);
    const page = await context.newPage();
    const first = await page.goto(url);
    expect(first!.headers()['strict-transport-security']).toBe('max-age=15552000');
    await page.getByLabel('Your name here').fill('Wren');
    await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
    await page.getByRole('button', { name: 'Start' }).click();
    await page.getByRole('button', { name: 'I have them' }).click();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    const [cookie] = await context.cookies();
    expect(cookie).toMatchObject({
      name: '__Host-larder',
      secure: true,
      httpOnly: true,
      sameSite: 'Strict',
    });
    // A serving is logged through it, under the name of who is signed in.
    const logged = page.waitForResponse(
      (answer) => answer.url().endsWith('/api/feedings') && answer.request().method() === 'POST',
    );
    await page
      .getByRole('button', { name: /^Serve/ })
      .first()
      .click();
    expect((await (await logged).json()).feeding.hand).toBe('Wren');
    // What the phone is offered to pair another one leads through the proxy too.
    const me = await page.evaluate(async () => (await fetch('/api/me')).json());
    expect(me.address).toBe(`https://${NAME}`);
    // Another name that leads to the same machine is turned away.
    const foreign = await (await browser.newContext({ ignoreHTTPSErrors: true })).newPage();
    const answer = await foreign.goto(`https://elsewhere.local:${tlsPort}/api/me`);
    expect(answer!.status()).toBe(421);
  } finally {
    await browser.close();
    await ended(nginx);
    await server.end('SIGTERM');
    await dropDatabase(database);
    rmSync(folder, { recursive: true, force: true });
  }
});
