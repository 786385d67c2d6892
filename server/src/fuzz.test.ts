import { routes, type Route, type RouteName } from '@open-larder/contract';
import { chanceFrom } from './demo/chance';
import { v7 as uuidv7 } from 'uuid';
import { anyOf, junk, type Draw } from './testing/extremes';
import { sampleBrood, sampleVessel, smallHouse } from './testing/samples';
import { startTestServer, type TestServer } from './testing/testServer';

/** Requests by route; `OPEN_LARDER_FUZZ=500 npx jest fuzz` tries many more. */
const EACH = Number(process.env.OPEN_LARDER_FUZZ ?? 12);
const SEED = 20_261;
const TODAY = '2026-03-10';

let server: TestServer;
let known: (key: string) => unknown;
let ask: ReturnType<TestServer['as']>;
beforeAll(async () => {
  server = await startTestServer();
  const house = await smallHouse(server);
  ask = house.ask;
  const vessel = sampleVessel();
  const brood = sampleBrood();
  await ask.post('/api/vessels').send(vessel).expect(201);
  await ask.post('/api/broods').send(brood).expect(201);
  const { body: life } = await ask.get(`/api/groups/${house.group.id}/events`).expect(200);
  const named: Record<string, unknown> = {
    tankId: house.tank.id,
    groupId: house.group.id,
    foodId: house.food.id,
    momentId: house.moment.id,
    servingId: house.serving.id,
    lotId: house.food.lot.id,
    eventId: life.items[0].id,
    fromVesselId: vessel.id,
    tubId: brood.tub.id,
    speciesKey: 'danio-rerio',
    kindKey: 'moina',
    day: TODAY,
    at: `${TODAY}T09:00:00.000Z`,
    version: 1,
    vesselId: vessel.id,
    broodId: brood.id,
  };
  known = (key) => (key === 'id' ? uuidv7() : named[key]);
});
afterAll(() => server.close());

/** What an address may be of, by what stands before its id. */
const OF: Record<string, string> = {
  tanks: 'tankId',
  groups: 'groupId',
  foods: 'foodId',
  lots: 'lotId',
  vessels: 'vesselId',
  broods: 'broodId',
  'brood-tubs': 'tubId',
  'group-events': 'eventId',
  moments: 'momentId',
};
const CURSORS = [[], [1], ['x'], [null], [1e21, {}], ['2026-13-45', 1], [-5], ['a\u0000', 'b']];
const ODD_HEADERS: Record<string, string>[] = [
  { 'Content-Encoding': 'gzip' },
  { 'Content-Encoding': 'br' },
  { 'Content-Encoding': 'nonsense' },
  { 'Content-Type': 'application/json; charset=klingon' },
  { 'Content-Type': 'text/plain' },
  { 'Accept-Encoding': 'nonsense' },
];

const pick = <T>(draw: Draw, list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;

function addressOf({ path, query }: Route, draw: Draw): string {
  const address = path.replace(/([^/]+)\/:(\w+)/g, (_, before: string, name: string) => {
    const usual = known(OF[before] ?? name) ?? known('id');
    return `${before}/${encoded(String(draw() < 0.75 ? usual : junk(draw)))}`;
  });
  const asked = anyOf(query, known, draw, 0.3) as Record<string, unknown>;
  const search = new URLSearchParams();
  for (const [key, value] of Object.entries(asked ?? {})) {
    const cursor = key === 'cursor' && draw() < 0.9;
    const text = cursor
      ? Buffer.from(JSON.stringify(pick(draw, CURSORS))).toString('base64url')
      : String(value);
    search.set(key, text);
  }
  return search.size > 0 ? `${address}?${search}` : address;
}

/** Half a letter cannot be encoded: sent raw, it is an address that cannot be read. */
function encoded(text: string): string {
  try {
    return encodeURIComponent(text);
  } catch {
    return '%E0%A4%A';
  }
}

describe('whatever is sent', () => {
  it.each(Object.keys(routes) as RouteName[])(
    '%s answers with success or a sentence',
    async (name) => {
      const route: Route = routes[name];
      const { uniform: draw } = seeded(name);
      const broke: string[] = [];
      for (let at = 0; at < EACH; at += 1) {
        const address = addressOf(route, draw);
        const body = anyOf(route.body, known, draw, at % 3 === 0 ? 0.25 : 0.02);
        const headers = draw() < 0.15 ? pick(draw, ODD_HEADERS) : {};
        const request = ask[route.method](address).set(headers);
        const sent = JSON.stringify(body ?? {});
        const answer =
          route.method === 'get'
            ? await request
            : await request.set({ 'Content-Type': 'application/json', ...headers }).send(sent);
        if (answer.status >= 500) broke.push(`${answer.status} ${address} ${sent.slice(0, 300)}`);
        // An address of over 16 kB is turned away by Node itself, before anyone could say a word.
        else if (answer.status >= 400 && answer.status !== 431 && !answer.body.detail) {
          broke.push(`${answer.status} ${address} without a sentence`);
        }
        expect(answer.text).not.toMatch(/node_modules|at .*\.ts:/);
      }
      expect(broke).toEqual([]);
    },
  );
});

/** Each route draws from a seed of its own: one that is added does not move the others. */
function seeded(name: string): { uniform: Draw } {
  const sum = [...name].reduce((all, letter) => all * 31 + letter.charCodeAt(0), SEED);
  return { uniform: chanceFrom(sum % 1_000_003).next };
}
