import { loadCatalogue } from '@open-larder/catalogue/load';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { v7 as uuidv7 } from 'uuid';
import { Scope } from '../db';
import { ensureHousehold } from '../demo';
import { chanceFrom } from '../demo/chance';
import { createHousehold } from '../household/create';
import {
  sampleBrood,
  sampleFeeding,
  samplePhoto,
  sampleRecipe,
  sampleTank,
  sampleVessel,
  sampleWaterTest,
  sampleWeighing,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sha256, type Manifest } from './format';
import { restoreBackup } from './restore';
import { writeBackup } from './write';

let here: TestServer;
let there: TestServer;
beforeAll(async () => {
  [here, there] = await Promise.all([startTestServer(), startTestServer()]);
});
afterAll(() => Promise.all([here.close(), there.close()]));

/** A household that holds nothing but its moments, on another server. */
async function emptyThere(): Promise<Scope> {
  const id = uuidv7();
  await createHousehold(there.people.registry, { id, name: 'Empty', like: there.ids.ours });
  return new Scope(there.db, id);
}
const rowsOf = (zip: Uint8Array) => {
  const { files } = JSON.parse(strFromU8(unzipSync(zip)['manifest.json']!)) as Manifest;
  return Object.fromEntries(Object.entries(files).map(([name, { rows }]) => [name, rows]));
};

it('of every older format is restored whole', async () => {
  const folder = join(__dirname, 'older');
  const files = readdirSync(folder);
  expect(files.length).toBeGreaterThan(0);
  for (const file of files) {
    const zip = new Uint8Array(readFileSync(join(folder, file)));
    const empty = await emptyThere();
    const restored = await restoreBackup(empty, zip);
    for (const [table, rows] of Object.entries(rowsOf(zip))) {
      const [, name] = /^tables\/(\w+)\.jsonl$/.exec(table) ?? [];
      if (name) expect(restored[name] ?? 0).toBe(rows);
    }
    // What was restored is saved as it would be now, and that is the same records.
    expect(rowsOf(await writeBackup(empty))).toMatchObject(rowsOf(zip));
  }
});

it('of the demo comes back to the byte on another server', async () => {
  const id = await ensureHousehold(here.db, loadCatalogue(), {
    key: 'demo',
    timeZone: 'Europe/Berlin',
    now: new Date('2026-03-28T16:00:00Z'),
  });
  const zip = await writeBackup(new Scope(here.db, id));
  expect(rowsOf(zip)['tables/feedings.jsonl']).toBeGreaterThan(500);
  const empty = await emptyThere();
  const restored = await restoreBackup(empty, zip);
  expect(restored['feedings']).toBe(rowsOf(zip)['tables/feedings.jsonl']);
  expect(Buffer.from(await writeBackup(empty)).equals(Buffer.from(zip))).toBe(true);
  // What the shelf holds is what its movements come to, as before.
  const off = await empty.rows<{ id: string }>(
    `SELECT l.id FROM lots l JOIN stock_events e ON e.lot_id = l.id
      WHERE l.household_id = :household GROUP BY l.id HAVING l.remaining_g < 0`,
  );
  expect(off).toEqual([]);
}, 300_000);

/** A house of a little of everything, as chance has it; some of it undone. */
async function anyHouse(seed: number): Promise<Scope> {
  const id = uuidv7();
  await createHousehold(here.people.registry, { id, name: `House ${seed}`, like: here.ids.ours });
  const { next: uniform } = chanceFrom(seed);
  const ask = here.as(id);
  const house = await smallHouse(here, undefined, undefined, ask);
  const post = async (path: string, body: object) => {
    const answer = await ask.post(path).send(body);
    expect({ path, ...answer.body }).not.toHaveProperty('detail');
  };
  const times = (most: number) => Array.from({ length: Math.floor(uniform() * (most + 1)) });
  for (const _ of times(3)) await post('/api/tanks', sampleTank({ name: `Tank ${uniform()}` }));
  for (const at of times(4).keys()) {
    const day = `2026-03-0${at + 2}`;
    const units = Math.round(uniform() * 8) / 2 + 0.5;
    const feeding = sampleFeeding(house, { units, day, at: `${day}T18:00:00.000Z` });
    await post('/api/feedings', feeding);
    if (uniform() < 0.4) {
      await post(`/api/feedings/${feeding.id}/undo`, { id: uuidv7(), at: feeding.at });
    }
  }
  for (const _ of times(2)) {
    const measured = { id: uuidv7(), kind: 'measured', day: '2026-03-05', lengthCm: 3.6 };
    await post(`/api/groups/${house.group.id}/events`, measured);
    if (uniform() < 0.7) await post('/api/photos', samplePhoto(measured.id));
  }
  if (uniform() < 0.5) await post('/api/recipes', sampleRecipe(house.food.id));
  for (const _ of times(2)) await post(`/api/foods/${house.food.id}/weighings`, sampleWeighing());
  for (const _ of times(2)) await post('/api/vessels', sampleVessel());
  for (const _ of times(2)) await post(`/api/tanks/${house.tank.id}/water`, sampleWaterTest());
  if (uniform() < 0.6) await post('/api/broods', sampleBrood());
  return new Scope(here.db, id);
}

it.each(Array.from({ length: 20 }, (_, at) => at + 1))(
  'of house %i comes back to the byte',
  async (seed) => {
    const zip = await writeBackup(await anyHouse(seed));
    const empty = await emptyThere();
    await restoreBackup(empty, zip);
    expect(Buffer.from(await writeBackup(empty)).equals(Buffer.from(zip))).toBe(true);
  },
);

describe('a backup', () => {
  let zip: Uint8Array;
  beforeAll(async () => {
    const house = await smallHouse(here, 'ours');
    await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    const { body } = await house.ask.get('/api/backup').expect(200);
    expect(body.fileName).toBe('open-larder-2026-03-10.zip');
    zip = new Uint8Array(Buffer.from(body.base64, 'base64'));
  });
  const restore = (base64: string) => there.as('theirs').post('/api/restore').send({ base64 });
  const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64');
  /** The same zip with one file of it changed; its digest too, where it is to be believed. */
  const changed = (name: string, change: (text: string) => string, believed = false) => {
    const files = unzipSync(zip);
    files[name] = strToU8(change(strFromU8(files[name]!)));
    if (believed) {
      const contents = JSON.parse(strFromU8(files['manifest.json']!)) as Manifest;
      contents.files[name]!.sha256 = sha256(files[name]!);
      files['manifest.json'] = strToU8(JSON.stringify(contents));
    }
    return base64(zipSync(files));
  };

  it('is taken in whole or not at all, and says why', async () => {
    const detailOf = async (sent: string, status = 422) =>
      (await restore(sent).expect(status)).body.detail as string;
    expect(await detailOf('AAAA')).toMatch(/not a zip/);
    expect(await detailOf(base64(zipSync({ 'a.txt': strToU8('a') })))).toMatch(/not a backup/);
    const feedings = 'tables/feedings.jsonl';
    expect(await detailOf(changed(feedings, () => ''))).toMatch(/missing or was changed/);
    expect(
      await detailOf(
        changed('manifest.json', (text) => text.replace(/"migration": "\d+/, '"migration": "9999')),
      ),
    ).toMatch(/newer version/);
    expect(
      await detailOf(changed(feedings, (text) => text.replace('"units"', '"unit_s"'), true)),
    ).toMatch(/column that is not known/);
    // A row that the database refuses, after others were written: none of them stays.
    await restore(
      changed(feedings, (text) => text.replace(/"units": [\d.]+/, '"units": -5'), true),
    ).expect(422);
    const { body } = await there.as('theirs').get('/api/tanks').expect(200);
    expect(body.items).toEqual([]);
  });

  it('goes into an empty household, once on a server', async () => {
    const { body } = await restore(base64(zip)).expect(201);
    expect(body.rows).toMatchObject({ tanks: 1, groups: 1, feedings: 1 });
    const tanks = async (server: TestServer, who: 'ours' | 'theirs') =>
      (await server.as(who).get('/api/tanks')).body.items;
    expect(await tanks(there, 'theirs')).toEqual(await tanks(here, 'ours'));
    expect((await restore(base64(zip)).expect(409)).body.detail).toMatch(/holds records already/);
    const again = await there
      .as('ours')
      .post('/api/restore')
      .send({ base64: base64(zip) });
    expect(again.status).toBe(409);
    expect(again.body.detail).toMatch(/on this server already/);
  });
});
