import { Agent, request } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { PAGE_HEADER, TIME_HEADER } from '@open-larder/contract/paths';
import { median, quantile } from 'd3-array';
import { v7 as uuidv7 } from 'uuid';
import { sampleFood, sampleGroup, sampleLot, sampleTank } from '../src/testing/samples';
import { row } from './bench';

const PASSWORD = 'a heron at the weir';
const SERVINGS_A_SECOND = 200;
const LOAD_S = Number(process.env.OPEN_LARDER_BENCH_LOAD_S ?? 60);
/** Servings one after the other before it counts: a server that has just started compiles what it runs. */
const WARM_UP = 1500;
const HOUSES = [1, 50];

/** A household, and one food that every serving of it is taken from: the shelf that has most to do. */
interface House {
  cookie: string;
  groupId: string;
  foodId: string;
}

/**
 * How long a serving waits to be logged while two hundred a second are: into one household, all of one
 * food, and into fifty. Each is sent when it is due, whether the ones before it were answered or not.
 */
async function main(): Promise<void> {
  const url = process.env.OPEN_LARDER_PEOPLE_URL ?? '';
  const agent = new Agent({ keepAlive: true, maxSockets: 256 });
  // By the plain means of Node: what sends must not take the processor from what answers.
  const send = (path: string, body: object, headers: Record<string, string> = {}) =>
    new Promise<{ cookie: string; now: string }>((resolve, reject) => {
      const text = JSON.stringify(body);
      const options = {
        method: 'POST',
        agent,
        headers: {
          'Content-Type': 'application/json',
          'Content-Length': Buffer.byteLength(text),
          ...headers,
        },
      };
      const call = request(url + path, options, (answer) => {
        let said = '';
        answer.setEncoding('utf8');
        answer.on('data', (part: string) => (said += part));
        answer.on('end', () => {
          if ((answer.statusCode ?? 500) >= 300) {
            reject(new Error(`${path}: ${answer.statusCode} ${said.slice(0, 300)}`));
            return;
          }
          resolve({
            cookie: answer.headers['set-cookie']?.[0]?.split(';')[0] ?? '',
            now: String(answer.headers[TIME_HEADER.toLowerCase()]),
          });
        });
      });
      call.on('error', reject);
      call.end(text);
    });
  await send('/api/first-owner', { name: 'Wren', password: PASSWORD }).catch(() => undefined);
  const now = new Date((await send('/api/sign-in', { who: 'Wren', password: PASSWORD })).now);
  const day = now.toISOString().slice(0, 10);

  const move = async (name: string): Promise<House> => {
    const { cookie } = await send('/api/sign-in', { who: 'Wren', password: PASSWORD });
    const own = (path: string, body: object) => send(path, body, { cookie });
    await own('/api/households', { name });
    const tank = sampleTank();
    const group = sampleGroup(tank.id, { day });
    const food = sampleFood({
      lot: sampleLot({ amountG: 50_000, boughtOn: day, bestBefore: null }),
    });
    await own('/api/tanks', tank);
    await own('/api/groups', group);
    await own('/api/foods', food);
    return { cookie, groupId: group.id, foodId: food.id };
  };

  const serve = ({ cookie, groupId, foodId }: House) =>
    send(
      '/api/feedings',
      {
        id: uuidv7(),
        servingId: uuidv7(),
        day,
        groupId,
        foodId,
        outcome: 'served',
        plannedUnits: 1,
        units: 1,
        note: '',
        at: now.toISOString(),
      },
      { cookie, [PAGE_HEADER]: 'bench' },
    );

  /** @returns ms from when each serving was due until it was logged */
  const load = async (houses: readonly House[]): Promise<number[]> => {
    for (let at = 0; at < WARM_UP; at += 1) await serve(houses[at % houses.length]!);
    const took: number[] = [];
    const going: Promise<void>[] = [];
    const began = performance.now();
    for (let at = 0; at < SERVINGS_A_SECOND * LOAD_S; at += 1) {
      const due = began + (at * 1000) / SERVINGS_A_SECOND;
      if (due > performance.now()) await wait(due - performance.now());
      const logged = serve(houses[at % houses.length]!);
      going.push(logged.then(() => void took.push(performance.now() - due)));
    }
    await Promise.all(going);
    return took;
  };

  for (const many of HOUSES) {
    const houses: House[] = [];
    for (let n = 0; n < many; n += 1) houses.push(await move(`House ${n + 1} of ${many}`));
    const took = await load(houses);
    const [p95, half] = [quantile(took, 0.95)!, median(took)!];
    row(
      `p95 of ${SERVINGS_A_SECOND} servings a second, ${LOAD_S} s, ${many === 1 ? 'one house' : `${many} houses`}`,
      `${Math.round(p95)} ms`,
      `${half.toFixed(1)} ms`,
      p95 / half,
      'under 50 ms',
    );
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
