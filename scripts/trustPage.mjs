import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';

const STYLE =
  'body{font:17px/1.5 system-ui,sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;background:#f3ebdd;color:#14323b}' +
  'a.act{display:inline-block;padding:.7rem 1.1rem;margin:.3rem 0;border-radius:8px;background:#b4480c;color:#fff;text-decoration:none;font-weight:600}' +
  'li{margin:.5rem 0}';

const page = (address) => `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1"><title>Open Larder: first time on this phone</title>
<style>${STYLE}</style><h1>First time on this phone</h1>
<p>This server makes its own certificate. Your phone has to trust it once; after that the address opens without a warning.</p>
<ol><li><a class="act" href="/open-larder-ca.crt">1. Get the certificate</a></li>
<li>Install it. Where the phone asks, choose «CA certificate». Many phones have it in the settings under Security, then «Install a certificate»; others show the downloaded profile in the settings, and want it switched on afterwards under the trusted certificates.</li>
<li><a class="act" href="${address}">3. Open Open Larder</a></li></ol>
<p>The certificate vouches for addresses in home networks and for this machine's name, and for nothing else. You can remove it in the same settings at any time.</p>
<p>Only do this in your own network, with your own server.</p></html>`;

/** A page over plain http that helps a phone to trust the server: it gives the certificate, and nothing of the house. */
export function serveTrustPage({ port, host, ca, address }) {
  const certificate = readFileSync(ca);
  const server = createServer((request, response) => {
    response.setHeader('X-Content-Type-Options', 'nosniff');
    if (request.method !== 'GET') return response.writeHead(405).end();
    if (request.url === '/open-larder-ca.crt') {
      response.setHeader('Content-Type', 'application/x-x509-ca-cert');
      response.setHeader('Content-Disposition', 'attachment; filename="open-larder-ca.crt"');
      return response.end(certificate);
    }
    response.setHeader('Content-Type', 'text/html; charset=utf-8');
    response.setHeader('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'");
    return response.end(page(address));
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve(server));
  });
}
