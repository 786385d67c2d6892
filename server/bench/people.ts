import { setTimeout as wait } from 'node:timers/promises';
import { median, quantile } from 'd3-array';
import { row } from './bench';

const PASSWORD = 'a heron at the weir';
const ROUNDS = 9;
const READS = 300;
const AT_ONCE = 8;
const LOAD_S = 10;
const READS_A_SECOND = 200;
const SIGN_INS_A_SECOND = 20;

/**
 * What signing in costs: a read with a session against one without, and reads while many sign in. Two
 * servers over one database, of which one asks who is there.
 */
async function main(): Promise<void> {
  const open = process.env.OPEN_LARDER_URL ?? '';
  const closed = process.env.OPEN_LARDER_PEOPLE_URL ?? '';
  const json = { 'Content-Type': 'application/json' };
  const enter = (path: string, body: object) =>
    fetch(closed + path, { method: 'POST', headers: json, body: JSON.stringify(body) });
  await enter('/api/first-owner', { name: 'Wren', password: PASSWORD });
  const signIn = () => enter('/api/sign-in', { who: 'Wren', password: PASSWORD });
  const entered = await signIn();
  if (!entered.ok) throw new Error(await entered.text());
  const cookie = entered.headers.get('set-cookie')!.split(';')[0]!;
  const read = async (url: string, headers: Record<string, string> = {}, path = '/api/tanks') => {
    const answer = await fetch(`${url}${path}`, { headers });
    await answer.text();
    if (!answer.ok) throw new Error(String(answer.status));
  };
  const many = async (work: () => Promise<void>) => {
    const began = performance.now();
    let left = READS;
    const hand = async () => {
      while (left-- > 0) await work();
    };
    await Promise.all(Array.from({ length: AT_ONCE }, hand));
    return performance.now() - began;
  };
  const own: number[] = [];
  const base: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    base.push(await many(() => read(open)));
    own.push(await many(() => read(closed, { cookie })));
  }
  const [ours, theirs] = [median(own)! / READS, median(base)! / READS];
  row(
    'read: all tanks, signed in against by itself',
    `${ours.toFixed(2)} ms`,
    `${theirs.toFixed(2)} ms`,
    ours / theirs,
    'at most 1.15',
  );

  const took: number[] = [];
  let entries = 0;
  const every = async (aSecond: number, work: () => Promise<unknown>) => {
    const going: Promise<unknown>[] = [];
    const began = performance.now();
    for (let at = 0; at < aSecond * LOAD_S; at += 1) {
      const due = began + (at * 1000) / aSecond - performance.now();
      if (due > 0) await wait(due);
      going.push(work());
    }
    await Promise.all(going);
  };
  await Promise.all([
    every(READS_A_SECOND, async () => {
      const began = performance.now();
      await read(closed, { cookie }, '/api/moments');
      took.push(performance.now() - began);
    }),
    every(SIGN_INS_A_SECOND, async () => {
      if ((await signIn()).ok) entries += 1;
    }),
  ]);
  const p99 = quantile(took, 0.99)!;
  row(
    `p99 of 200 reads a second beside 20 sign-ins, ${entries} of ${SIGN_INS_A_SECOND * LOAD_S} in`,
    `${Math.round(p99)} ms`,
    `${median(took)!.toFixed(1)} ms`,
    p99 / median(took)!,
    'under 100 ms',
  );
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
