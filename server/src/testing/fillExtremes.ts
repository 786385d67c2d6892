import { sampleFood, sampleGroup, sampleMoment, sampleServing, sampleTank } from './samples';
import { storeExtremes, type Send } from './storeExtremes';

/**
 * Fill a running product with everything that its writes accept at their limits.
 * Called with its address and a day that has come: `tsx fillExtremes.ts http://localhost:4310 2026-03-10`.
 */
const [url = '', day = ''] = process.argv.slice(2);

const send: Send = async (method, path, body) => {
  const response = await fetch(url + path, {
    method: method.toUpperCase(),
    headers: body ? { 'Content-Type': 'application/json' } : undefined,
    body: body ? JSON.stringify(body) : undefined,
  });
  return {
    status: response.status,
    body: (await response.json()) as Record<string, unknown>,
  };
};

async function main(): Promise<void> {
  const tank = sampleTank();
  const group = sampleGroup(tank.id);
  const food = sampleFood();
  const moment = sampleMoment();
  const serving = sampleServing(food.id, moment.id);
  await send('post', '/api/tanks', tank);
  await send('post', '/api/groups', group);
  await send('post', '/api/foods', food);
  await send('post', '/api/moments', moment);
  const stored = await storeExtremes(send, { tank, group, food, moment, serving }, day);
  const accepted = stored.reduce((sum, one) => sum + one.accepted.length, 0);
  process.stdout.write(`${accepted}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${String(error)}\n`);
  process.exit(1);
});
