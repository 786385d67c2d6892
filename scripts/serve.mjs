import { randomInt } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { certificateFor, namesHere } from './certificates.mjs';
import { runHouse } from './house.mjs';
import { portFrom, portIsFree } from './postgres.mjs';
import { giveUp, say, sinceStart } from './say.mjs';
import { serveTrustPage } from './trustPage.mjs';

const HELP = `npm run serve -- --lan           for the phones in your home: TLS, an address, a code for the camera
npm run serve                    behind a proxy, or with a certificate of your own: see docs/running.md
npm run serve -- --lan --demo    the same with the demo data

OPEN_LARDER_PORT       port of the product (4310)
OPEN_LARDER_DB_PORT    port of its database (54310)
OPEN_LARDER_NAMES      further names and addresses of this machine, with commas between
OPEN_LARDER_HOST       address to listen on (with --lan: all of this machine's)
OPEN_LARDER_TLS_CERT, OPEN_LARDER_TLS_KEY, OPEN_LARDER_PROXY: without --lan`;

const args = process.argv.slice(2);
if (args.includes('--help')) {
  say(HELP);
  process.exit(0);
}
const unknown = args.find((arg) => !['--lan', '--demo'].includes(arg));
if (unknown) giveUp(`«${unknown}» is not known here.\n\n${HELP}`);
const lan = args.includes('--lan');

const port = portFrom('OPEN_LARDER_PORT', 4310);
const trustPort = port + 1;
if (lan && !(await portIsFree(trustPort))) {
  giveUp(
    `Port ${trustPort}, for the page that helps a phone, is in use. Choose another OPEN_LARDER_PORT.`,
  );
}

/** Without letters and digits that are read as one another. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const setUpCode = Array.from({ length: 10 }, () => LETTERS[randomInt(LETTERS.length)]).join('');

const further = (process.env.OPEN_LARDER_NAMES ?? '')
  .split(',')
  .flatMap((name) => name.trim() || []);
const { addresses, names } = namesHere();
const reached = [...further, ...addresses, ...names];
const [first] = reached;
const address = `https://${first}:${port}`;
let ca;
let trust;

async function envOfLan() {
  if (!existsSync('/usr/bin/openssl')) {
    giveUp('openssl is missing: sudo apt-get install openssl, then start again.');
  }
  const files = await certificateFor(reached);
  ca = files.ca;
  trust = await serveTrustPage({
    port: trustPort,
    host: process.env.OPEN_LARDER_HOST ?? '0.0.0.0',
    ca,
    address,
  });
  return {
    ca: readFileSync(ca),
    OPEN_LARDER_HOST: process.env.OPEN_LARDER_HOST ?? '0.0.0.0',
    OPEN_LARDER_NAMES: reached.join(','),
    OPEN_LARDER_TLS_CERT: files.cert,
    OPEN_LARDER_TLS_KEY: files.key,
    OPEN_LARDER_ADDRESS: address,
  };
}

let announced = false;
async function onReady() {
  say(`\nOpen Larder is ready after ${sinceStart()}.`);
  if (!lan) return say('Ctrl-C stops it.');
  if (announced) return;
  announced = true;
  const page = `http://${first}:${trustPort}`;
  // Only now: before the set-up no package may be there.
  const { default: QRCode } = await import('qrcode');
  say(await QRCode.toString(page, { type: 'terminal', small: true }));
  say(
    `The first time, on each phone:  ${page}   (the code above opens it)\n` +
      `After that:                     ${reached.map((name) => `https://${name}:${port}`).join('\n                                ')}\n` +
      `On this machine:                https://localhost:${port}\n\n` +
      `Set-up code of the first owner: ${setUpCode}   (asked once, while the house has no owner)\n` +
      'Ctrl-C stops it.',
  );
}

await runHouse({
  port,
  dbPort: portFrom('OPEN_LARDER_DB_PORT', 54310),
  command: 'npm run serve',
  envOf: async () => ({
    OPEN_LARDER_HOUSEHOLD: args.includes('--demo') ? 'demo' : 'empty',
    OPEN_LARDER_SIGN_IN: 'people',
    OPEN_LARDER_SETUP_CODE: setUpCode,
    ...(lan ? await envOfLan() : {}),
  }),
  onReady,
  onStop: () => trust?.close(),
});
