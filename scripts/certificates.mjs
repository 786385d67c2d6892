import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { X509Certificate } from 'node:crypto';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { keep } from './places.mjs';
import { run } from './run.mjs';
import { step } from './say.mjs';

const CA_DAYS = 3650;
/** Phones refuse a certificate that is good for much more than a year. */
const DAYS = 397;
const RENEW_MS = 30 * 86_400_000;

/** Addresses of this machine in its networks, and the names by which a home knows it. */
export function namesHere() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  const name = hostname().toLowerCase();
  return { addresses, names: name.includes('.') ? [name] : [name, `${name}.local`] };
}

/**
 * A certificate for names and addresses, signed by an authority of this machine's own. The authority is
 * made once; it vouches for home networks and for these names, and for nothing else.
 * @returns paths {ca, cert, key}
 */
export async function certificateFor(names, folder = join(keep, 'tls')) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const at = (name) => join(folder, name);
  const [ca, caKey, covered] = ['ca.crt', 'ca.key', 'ca.names'].map(at);
  const [cert, key, wanted] = ['server.crt', 'server.key', 'names'].map(at);
  const outside = names.filter((name) => !isAtHome(name));
  const known = existsSync(covered) ? readFileSync(covered, 'utf8').split('\n') : null;
  if (!known || !existsSync(caKey) || outside.some((name) => !known.includes(name))) {
    await step('TLS: making an authority of your own, which each phone has to trust once', () =>
      makeAuthority(ca, caKey, outside, folder),
    );
    writeFileSync(covered, outside.join('\n'));
    rmSync(cert, { force: true });
  }
  const list = [...new Set(['localhost', '127.0.0.1', ...names])].join('\n');
  const fits =
    existsSync(cert) &&
    existsSync(wanted) &&
    readFileSync(wanted, 'utf8') === list &&
    Date.parse(new X509Certificate(readFileSync(cert)).validTo) - Date.now() > RENEW_MS;
  if (!fits) {
    await step('TLS: making a certificate for this machine', () =>
      makeCertificate({ ca, caKey, cert, key, names: list.split('\n') }, folder),
    );
    writeFileSync(wanted, list);
  }
  return { ca, cert, key };
}

/** Covered by every authority made here: home networks, and names that only they know. */
const AT_HOME =
  /^(10\.|172\.(1[6-9]|2\d|3[01])\.|192\.168\.|100\.(6[4-9]|[7-9]\d|1[01]\d|12[0-7])\.|169\.254\.|127\.)|\.local$|^localhost$/;
const isAtHome = (name) => AT_HOME.test(name);

const PRIVATE = [
  '10.0.0.0/255.0.0.0',
  '172.16.0.0/255.240.0.0',
  '192.168.0.0/255.255.0.0',
  '100.64.0.0/255.192.0.0',
  '169.254.0.0/255.255.0.0',
  '127.0.0.0/255.0.0.0',
];

const openssl = (args, log) => run('openssl', args, { quiet: log });

async function makeAuthority(ca, caKey, names, folder) {
  const name = hostname().toLowerCase();
  const permitted = [
    ...PRIVATE.map((range) => `permitted;IP:${range}`),
    'permitted;DNS:localhost',
    'permitted;DNS:local',
    ...names.map((one) =>
      isIP(one) ? `permitted;IP:${one}/255.255.255.255` : `permitted;DNS:${one}`,
    ),
  ];
  const config = join(folder, 'ca.cnf');
  writeFileSync(
    config,
    `[req]\ndistinguished_name = dn\nx509_extensions = ext\nprompt = no\n` +
      `[dn]\nCN = Open Larder on ${name}\n` +
      `[ext]\nbasicConstraints = critical, CA:TRUE, pathlen:0\n` +
      `keyUsage = critical, keyCertSign, cRLSign\nsubjectKeyIdentifier = hash\n` +
      `nameConstraints = critical, ${permitted.join(', ')}\n`,
  );
  await openssl(
    [
      'req',
      '-x509',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:P-256',
      '-nodes',
      '-days',
      String(CA_DAYS),
      '-keyout',
      caKey,
      '-out',
      ca,
      '-config',
      config,
    ],
    'tls-authority',
  );
  chmodSync(caKey, 0o600);
}

async function makeCertificate({ ca, caKey, cert, key, names }, folder) {
  const request = join(folder, 'server.csr');
  const extensions = join(folder, 'server.cnf');
  const alternatives = names.map((name) => `${isIP(name) ? 'IP' : 'DNS'}:${name}`);
  writeFileSync(
    extensions,
    `basicConstraints = critical, CA:FALSE\nkeyUsage = critical, digitalSignature\n` +
      `extendedKeyUsage = serverAuth\nsubjectAltName = ${alternatives.join(', ')}\n`,
  );
  await openssl(
    [
      'req',
      '-new',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:P-256',
      '-nodes',
      '-subj',
      '/CN=Open Larder',
      '-keyout',
      key,
      '-out',
      request,
    ],
    'tls-request',
  );
  chmodSync(key, 0o600);
  await openssl(
    [
      'x509',
      '-req',
      '-in',
      request,
      '-CA',
      ca,
      '-CAkey',
      caKey,
      '-CAcreateserial',
      '-days',
      String(DAYS),
      '-extfile',
      extensions,
      '-out',
      cert,
    ],
    'tls-certificate',
  );
}
