import { runHouse } from './house.mjs';
import { portFrom } from './postgres.mjs';
import { giveUp, say, sinceStart } from './say.mjs';

const HELP = `npm start                 the product with its demo data, for whoever uses this machine
npm start -- --empty      a household of your own, empty at first, for whoever uses this machine
npm run serve -- --help   for phones, and for several people

OPEN_LARDER_PORT      port of the product (4310)
OPEN_LARDER_DB_PORT   port of its database (54310)`;

const args = process.argv.slice(2);
if (args.includes('--help')) {
  say(HELP);
  process.exit(0);
}
const unknown = args.find((arg) => arg !== '--empty');
if (unknown) giveUp(`«${unknown}» is not known here.\n\n${HELP}`);

const empty = args.includes('--empty');
const port = portFrom('OPEN_LARDER_PORT', 4310);
await runHouse({
  port,
  dbPort: portFrom('OPEN_LARDER_DB_PORT', 54310),
  command: 'npm start',
  envOf: () => ({
    OPEN_LARDER_HOUSEHOLD: empty ? 'empty' : 'demo',
    OPEN_LARDER_SIGN_IN: 'itself',
  }),
  onReady: () =>
    say(
      `\nOpen Larder is ready after ${sinceStart()}:  http://localhost:${port}\n` +
        `You are signed in as the ${empty ? '' : 'demo '}keeper, without a password, on this machine alone.\n` +
        'For your phone, and for others: npm run serve -- --lan\nCtrl-C stops it.',
    ),
});
